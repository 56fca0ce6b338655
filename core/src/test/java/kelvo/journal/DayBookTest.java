package kelvo.journal;

import static org.assertj.core.api.Assertions.assertThat;

import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class DayBookTest {
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
  void aDecisionTakenBackIsNone() {
    assertThat(book.decisionOn("TIDARC", DayTime.of(8, 29))).isPresent();
    assertThat(book.decisionOn("TIDARC", DayTime.of(8, 30))).isEmpty();
  }

  @Test
  void aRemovedLevelStoodUntilThen() {
    Level level = Level.standing("TIDARC", 82_000, LevelKind.BY_HAND, DayTime.of(8, 0));
    DayBook changed = book.with(level).without(level, DayTime.of(9, 0));

    assertThat(changed.levelsOn("TIDARC", DayTime.of(8, 59))).hasSize(1);
    assertThat(changed.levelsOn("TIDARC", DayTime.of(9, 0))).isEmpty();
  }
}
