package kelvo.research;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import kelvo.hit.TestSessions;
import kelvo.statistics.DifferenceInterval;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import kelvo.trade.Fees;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;

class AnswersBesideTest {
  private static final LocalDate DATE = LocalDate.of(2031, 1, 6);

  private static ResearchCase one(int day, String symbol, double result) {
    List<Double> results = new ArrayList<>(Collections.nCopies(Held.values().length, Double.NaN));
    results.set(Held.CLOSE.ordinal(), result);
    return new ResearchCase(
        DATE.plusDays(day),
        symbol,
        DayTime.of(10, 0),
        DayTime.of(10, 1),
        10,
        false,
        results,
        results,
        results,
        InventedCases.NEVER,
        false,
        CaseTraits.of(Map.of()));
  }

  private static Answer answer(ResearchCase... cases) {
    return answer(Arrays.asList(cases));
  }

  private static Answer answer(List<ResearchCase> cases) {
    Question question =
        new Question(
            TestSessions.scan("any", List.of(Trigger.ENTERS)),
            new CaseMoment.FirstHit(DayTime.FIRST),
            Direction.LONG,
            new Question.Costs(Fees.NONE, 10_000));
    return Answer.of(question, Held.CLOSE, cases);
  }

  @Test
  void casesAreInBothOrInOne() {
    AnswersBeside beside =
        AnswersBeside.of(
            answer(one(0, "TIDARC", 0.04), one(0, "KELPOR", 0.02), one(1, "TIDARC", 0.03)),
            answer(one(0, "TIDARC", 0.04), one(2, "ORBTOW", -0.01)));

    assertThat(beside.both()).extracting(ResearchCase::symbol).containsExactly("TIDARC");
    assertThat(beside.onlyFirst())
        .extracting(ResearchCase::symbol)
        .containsExactly("KELPOR", "TIDARC");
    assertThat(beside.onlySecond()).extracting(ResearchCase::symbol).containsExactly("ORBTOW");
    assertThat(beside.difference().difference()).isCloseTo(0.015, within(1e-9));
    assertThat(beside.words()).startsWith("+1.5% in the mean (");
  }

  @Test
  void withoutCasesNoDifferenceCanBeTold() {
    assertThat(AnswersBeside.of(answer(one(0, "TIDARC", 0.04)), answer()).words())
        .isEqualTo("no difference can be told");
  }

  @Test
  void twoSamplesOfOneKindDifferInAtMostOneOfTen() {
    int outside = 0;
    for (int seed = 0; seed < 100; seed++) {
      DifferenceInterval interval = DifferenceInterval.of(noise(2L * seed), noise(2L * seed + 1));
      outside += interval.low() > 0 || interval.high() < 0 ? 1 : 0;
    }
    assertThat(outside).isLessThanOrEqualTo(10);
  }

  @Test
  void aDifferenceThatIsThereLiesWithinTheInterval() {
    int within = 0;
    for (int seed = 0; seed < 100; seed++) {
      List<double[]> higher =
          noise(2L * seed).stream()
              .map(session -> Arrays.stream(session).map(x -> x + 2).toArray())
              .toList();
      DifferenceInterval interval = DifferenceInterval.of(higher, noise(2L * seed + 1));
      within += interval.low() <= 2 && interval.high() >= 2 ? 1 : 0;
    }
    assertThat(within).isGreaterThanOrEqualTo(88);
  }

  private static List<double[]> noise(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    List<double[]> sessions = new ArrayList<>();
    for (int i = 0; i < 30; i++) {
      sessions.add(random.doubles(3).map(x -> random.nextGaussian()).toArray());
    }
    return sessions;
  }

  @Test
  void theCloseOfAShortDayIsEarlier() {
    SessionHours shortDay =
        new SessionHours(
            LocalDate.of(2031, 11, 28),
            SessionHours.Kind.EARLY_CLOSE,
            DayTime.of(13, 0),
            -DayTime.HOUR);

    assertThat(CaseMoment.At.CLOSE.in(shortDay)).isEqualTo(DayTime.of(13, 0));
    assertThat(CaseMoment.At.OPEN.in(shortDay)).isEqualTo(DayTime.of(9, 30));
  }

  @Test
  void momentsAreReadFromTheWordsOfFiles() {
    assertThat(CaseMoment.of("hit", "", 1)).isEqualTo(new CaseMoment.FirstHit(DayTime.FIRST));
    assertThat(CaseMoment.of("hit", "09:45", 1))
        .isEqualTo(new CaseMoment.FirstHit(DayTime.of(9, 45)));
    assertThat(CaseMoment.of("move", "", 7)).isEqualTo(new CaseMoment.EveryMove(7));
    assertThat(CaseMoment.of("open", "", 1)).isEqualTo(CaseMoment.At.OPEN);
    assertThat(CaseMoment.of("close", "", 1)).isEqualTo(CaseMoment.At.CLOSE);
    assertThat(CaseMoment.of("10:30", "", 1)).isEqualTo(new CaseMoment.AtTime(DayTime.of(10, 30)));
    assertThat(CaseMoment.of("close", "", 1).words()).isEqualTo("matched at the close");
    assertThatThrownBy(() -> CaseMoment.of("soon", "", 1))
        .hasMessage("expected hit, move, open, close or a time such as 10:30, found \"soon\"");
    assertThatThrownBy(() -> CaseMoment.of("open", "10:00", 1)).hasMessageContaining("hit only");
  }
}
