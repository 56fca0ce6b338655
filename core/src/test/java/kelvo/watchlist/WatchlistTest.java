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
}
