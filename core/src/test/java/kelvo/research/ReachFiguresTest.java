package kelvo.research;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class ReachFiguresTest {
  private static ResearchCase timed(int number, long gain, long loss) {
    ResearchCase one = InventedCases.one(LocalDate.of(2031, 1, 2), number, 0, Map.of());
    return new ResearchCase(
        one.date(),
        one.symbol(),
        one.at(),
        one.enteredAt(),
        one.entry(),
        false,
        one.results(),
        one.best(),
        one.worst(),
        Collections.nCopies(Reach.values().length, new TimeTo(gain, loss)),
        false,
        one.traits());
  }

  private static final List<ResearchCase> CASES =
      List.of(
          timed(1, 2 * DayTime.MINUTE, TimeTo.NEVER),
          timed(2, 6 * DayTime.MINUTE, 9 * DayTime.MINUTE),
          timed(3, 20 * DayTime.MINUTE, 4 * DayTime.MINUTE),
          timed(4, 3 * DayTime.MINUTE, 3 * DayTime.MINUTE),
          timed(5, TimeTo.NEVER, TimeTo.NEVER));

  @Test
  void eachCaseCountsByWhatCameFirst() {
    ReachFigures figures = ReachFigures.of(CASES, Reach.FIVE);

    assertThat(figures.of(TimeTo.First.GAIN)).containsExactly(CASES.get(0), CASES.get(1));
    assertThat(figures.of(TimeTo.First.LOSS)).containsExactly(CASES.get(2));
    assertThat(figures.of(TimeTo.First.TOGETHER)).containsExactly(CASES.get(3));
    assertThat(figures.of(TimeTo.First.NEITHER)).containsExactly(CASES.get(4));
  }

  @Test
  void theMedianIsOfAllThatEverWereSoFar() {
    ReachFigures figures = ReachFigures.of(CASES, Reach.FIVE);

    // Ahead after 2, 3, 6 and 20 minutes; behind after 3, 4 and 9.
    assertThat(figures.toGain()).isEqualTo(4.5 * DayTime.MINUTE);
    assertThat(figures.toLoss()).isEqualTo(4.0 * DayTime.MINUTE);
    assertThat(figures.name(TimeTo.First.LOSS) + ": " + figures.words(TimeTo.First.LOSS))
        .isEqualTo("-5% first: 1, after 4 min");
    assertThat(figures.words(TimeTo.First.NEITHER)).isEqualTo("1");
  }

  @Test
  void withoutCasesThereIsNoMedian() {
    assertThat(ReachFigures.of(List.of(), Reach.TWO).words(TimeTo.First.GAIN)).isEqualTo("0");
  }
}
