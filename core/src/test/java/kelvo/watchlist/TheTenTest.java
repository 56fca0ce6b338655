package kelvo.watchlist;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import kelvo.journal.Choice;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class TheTenTest {
  private static final long LATER = DayTime.of(8, 45);

  private static Decision decision(String symbol, int minute, Choice choice) {
    return new Decision(symbol, DayTime.of(8, minute), choice, "", Side.UP, "later", "");
  }

  private final DayBook book =
      DayBook.EMPTY
          .with(decision("TIDARC", 10, Choice.KEEP))
          .with(decision("DESALQ", 12, Choice.DROP))
          .with(decision("TIDARC", 30, Choice.UNDECIDED))
          .with(decision("KELPOR", 40, Choice.KEEP));

  @Test
  void isAsItWasAtTheMoment() {
    assertThat(TheTen.at(book, DayTime.of(8, 20)).symbols()).containsExactly("TIDARC");
    assertThat(TheTen.at(book, LATER).symbols()).containsExactly("KELPOR");
    assertThat(TheTen.at(book, LATER).watchlist().holds("KELPOR")).isTrue();
    assertThat(TheTen.at(book, LATER).watchlist().holds("TIDARC")).isFalse();
  }

  @Test
  void hasNoRoomForOneMoreWhenItIsFullButForThoseWhoAreOnIt() {
    TheTen ten = TheTen.at(book, LATER);

    assertThat(ten.isFullFor("TIDARC", 1)).isTrue();
    assertThat(ten.isFullFor("KELPOR", 1)).isFalse();
    assertThat(ten.isFullFor("TIDARC", 2)).isFalse();
  }

  @Test
  void aWatchlistHoldsEachSymbolOnceAndHasAName() {
    assertThatThrownBy(() -> Watchlist.of("swings", List.of("KELPOR", "KELPOR")))
        .hasMessageContaining("each symbol once")
        .hasMessageContaining("swings");
    assertThatThrownBy(() -> Watchlist.of(" ", List.of())).hasMessageContaining("needs a name");
  }
}
