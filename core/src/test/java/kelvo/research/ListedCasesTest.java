package kelvo.research;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ListedCasesTest {
  private static final LocalDate DATE = LocalDate.of(2031, 2, 3);

  private static ResearchCase one(int number, double result, boolean gone, boolean assumed) {
    List<Double> all = Collections.nCopies(Held.values().length, result);
    ResearchCase plain = InventedCases.one(DATE.plusDays(number), number, result, Map.of());
    return new ResearchCase(
        plain.date(),
        plain.symbol(),
        plain.at(),
        plain.enteredAt(),
        plain.entry(),
        assumed,
        all,
        all,
        all,
        plain.timesTo(),
        gone,
        plain.traits());
  }

  private static ResearchCase one(int number, double result) {
    return one(number, result, false, false);
  }

  @Test
  void theNewestComesFirst() {
    ResearchCase older = one(1, 0.1);
    ResearchCase newer = one(2, 0.2);

    assertThat(ListedCases.of(List.of(older, newer), "").cases()).containsExactly(newer, older);
  }

  @Test
  void itSaysWhichTheyAreAndWhatTheMarksMean() {
    ResearchCase plain = one(1, 0.1);

    assertThat(ListedCases.of(List.of(plain), "").words()).isEqualTo("1 case");
    assertThat(ListedCases.of(List.of(plain, plain), "weekday Friday").words())
        .isEqualTo("2 cases: weekday Friday");
    assertThat(
            ListedCases.of(List.of(plain, one(2, 0.1, true, false), one(3, 0.1, false, true)), "")
                .words())
        .isEqualTo(
            "3 cases; † 1 gone since, the last price stands; * no quote told the spread, the usual"
                + " one of that hour or a tick stands for it");
  }

  @Test
  void bestAndWorstAreOfThoseWithAResult() {
    ResearchCase best = one(1, 0.3);
    ResearchCase worst = one(2, -0.2);
    ListedCases listed = ListedCases.of(List.of(one(3, Double.NaN), best, worst), "");

    assertThat(listed.extreme(Held.CLOSE, 1)).contains(best);
    assertThat(listed.extreme(Held.CLOSE, -1)).contains(worst);
    assertThat(ListedCases.of(List.of(one(3, Double.NaN)), "").extreme(Held.CLOSE, 1)).isEmpty();
  }
}
