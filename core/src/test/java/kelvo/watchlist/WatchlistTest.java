package kelvo.watchlist;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class WatchlistTest {
  private static final LocalDate TODAY = LocalDate.of(2031, 3, 12);

  private final Watchlist list = Watchlist.of("fades", List.of("KELPOR", "TIDARC", "ORBTOW"));

  @Test
  void symbolsComeAtTheEndAndEachStandsThereOnce() {
    Watchlist more = list.with(List.of("GENSED", "KELPOR"), TODAY);

    assertThat(more.symbols()).containsExactly("KELPOR", "TIDARC", "ORBTOW", "GENSED");
    assertThat(more.entries().getFirst().until()).isEqualTo(TODAY);
  }

  @Test
  void whoseDateIsOverIsGone() {
    Watchlist until = list.with(List.of("GENSED"), TODAY);

    assertThat(until.on(TODAY).holds("GENSED")).isTrue();
    assertThat(until.on(TODAY.plusDays(1)).symbols()).containsExactly("KELPOR", "TIDARC", "ORBTOW");
  }

  @Test
  void theOrderIsTheTraders() {
    assertThat(list.moved("ORBTOW", -2).symbols()).containsExactly("ORBTOW", "KELPOR", "TIDARC");
    assertThat(list.moved("KELPOR", 9).symbols()).containsExactly("TIDARC", "ORBTOW", "KELPOR");
    assertThat(list.without("TIDARC").symbols()).containsExactly("KELPOR", "ORBTOW");
  }

  @Test
  void aSymbolGoesToTheEndOfItsSection() {
    Watchlist sorted = list.sorted("KELPOR", "fades").sorted("TIDARC", "fades");

    assertThat(sorted.symbols()).containsExactly("ORBTOW", "KELPOR", "TIDARC");
    assertThat(sorted.sections()).containsExactly("", "fades");
  }

  @Test
  void aSymbolThatIsMovedIsInTheSectionWhereItCame() {
    Watchlist sorted = list.sorted("TIDARC", "fades").sorted("ORBTOW", "fades");

    assertThat(sorted.placed("KELPOR", 2).symbols()).containsExactly("TIDARC", "ORBTOW", "KELPOR");
    assertThat(sorted.placed("KELPOR", 2).entries().getLast().section()).isEqualTo("fades");
    assertThat(sorted.placed("ORBTOW", 0).entries().getFirst().section()).isEmpty();
    assertThat(sorted.placed("NOSUCH", 0)).isEqualTo(sorted);
  }

  @Test
  void aMarkAndANoteStayWithTheirSymbol() {
    Watchlist marked =
        list.changing("TIDARC", entry -> entry.marked(Mark.STAR).noted("reports tonight"));

    assertThat(marked.moved("TIDARC", 1).entries().getLast().mark()).isEqualTo(Mark.STAR);
    assertThat(marked.with(List.of("TIDARC"), TODAY).entries().get(1).note())
        .isEqualTo("reports tonight");
    assertThat(Mark.of(Mark.STAR.words()).next()).isEqualTo(Mark.CROSS);
    assertThat(Mark.CROSS.next()).isEqualTo(Mark.NONE);
  }
}
