package kelvo.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import kelvo.history.MinuteBar;
import kelvo.hit.TestSessions;
import kelvo.research.CaseMoment;
import kelvo.research.CaseTraits;
import kelvo.research.Direction;
import kelvo.research.Held;
import kelvo.research.Question;
import kelvo.research.ResearchCase;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import kelvo.trade.Fees;
import kelvo.trigger.Trigger;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

class DrillScoreTest {
  private static final Offset<Double> EXACT = within(1e-9);

  /** In at $10 at 10:01; it falls to 9.70 in the minute after and closes at 11. */
  private static final List<MinuteBar> BARS =
      List.of(
          bar(10, 0, 9.9, 9.9, 9.9, 9.9),
          bar(10, 1, 10, 10.1, 9.9, 10.05),
          bar(10, 2, 10.05, 10.05, 9.70, 9.8),
          bar(10, 30, 10.4, 10.6, 10.3, 10.5),
          bar(15, 59, 10.9, 11, 10.9, 11),
          bar(16, 10, 12, 12, 12, 12));

  private static MinuteBar bar(
      int hour, int minute, double open, double high, double low, double close) {
    return new MinuteBar(
        DayTime.of(hour, minute),
        Price.of(open),
        Price.of(high),
        Price.of(low),
        Price.of(close),
        100,
        Double.NaN,
        Double.NaN);
  }

  private static ResearchCase one() {
    return one("TIDARC");
  }

  private static ResearchCase one(String symbol) {
    return one(symbol, Held.CLOSE.ordinal() / 100.0);
  }

  private static ResearchCase one(String symbol, double untilClose) {
    List<Double> results =
        Arrays.stream(Held.values())
            .map(until -> until == Held.CLOSE ? untilClose : until.ordinal() / 100.0)
            .toList();
    return new ResearchCase(
        LocalDate.of(2031, 3, 12),
        symbol,
        DayTime.of(10, 1),
        DayTime.of(10, 1),
        10,
        true,
        results,
        results,
        results,
        List.of(),
        false,
        CaseTraits.of(Map.of()));
  }

  private static DrillScore score(Held until, DrillCall call, double stop, Fees fees) {
    Question question =
        new Question(
            TestSessions.scan("any", List.of(Trigger.ENTERS)),
            new CaseMoment.FirstHit(DayTime.FIRST),
            Direction.LONG,
            new Question.Costs(fees, 10_000));
    return DrillScore.of(one(), question, until, SessionHours.USUAL_CLOSE, BARS, call, stop);
  }

  private static DrillScore score(Held until, DrillCall call, double stop) {
    return score(until, call, stop, Fees.NONE);
  }

  @Test
  void whoIsNotStoppedHoldsUntilTheClose() {
    DrillScore score = score(Held.CLOSE, DrillCall.LONG, 0.05);

    assertThat(score.result()).isCloseTo(0.10, EXACT);
    assertThat(score.multiple()).isCloseTo(2, EXACT);
    assertThat(score.stopped()).isFalse();
    assertThat(score.byScan()).isEqualTo(Held.CLOSE.ordinal() / 100.0);
  }

  @Test
  void aStopThatIsReachedLosesWhatWasAtRisk() {
    DrillScore score = score(Held.CLOSE, DrillCall.LONG, 0.02);

    assertThat(score.stopped()).isTrue();
    assertThat(score.result()).isCloseTo(-0.02, EXACT);
    assertThat(score.multiple()).isCloseTo(-1, EXACT);
  }

  @Test
  void aMinuteThatOpensBeyondTheStopLosesMore() {
    DrillScore score = score(Held.CLOSE, DrillCall.SHORT, 0.03);

    // 10.30 is passed by the minute of 10:30, which opens at 10.40.
    assertThat(score.result()).isCloseTo(-0.04, EXACT);
    assertThat(score.multiple()).isCloseTo(-4 / 3.0, EXACT);
  }

  @Test
  void aStopLiesBelowABuyerAndAboveASeller() {
    assertThat(DrillScore.stopPrice(one(), DrillCall.LONG, 0.03)).isCloseTo(9.7, EXACT);
    assertThat(DrillScore.stopPrice(one(), DrillCall.SHORT, 0.03)).isCloseTo(10.3, EXACT);
    assertThat(DrillScore.stopPrice(one(), DrillCall.NO, 0.03)).isNaN();
  }

  @Test
  void aShortHorizonEndsBeforeTheRest() {
    assertThat(score(Held.FIVE_MINUTES, DrillCall.SHORT, 0.05).result()).isCloseTo(0.02, EXACT);
    assertThat(score(Held.FIVE_MINUTES, DrillCall.SHORT, 0.05).byScan()).isEqualTo(0);
  }

  @Test
  void laterSessionsAreHeldUntilTheCloseOnly() {
    DrillScore score = score(Held.DAY_FIVE, DrillCall.LONG, 0.05);

    assertThat(score.result()).isCloseTo(0.10, EXACT);
    assertThat(score.byScan()).isEqualTo(Held.CLOSE.ordinal() / 100.0);
  }

  @Test
  void feesAreTakenOffAndStayingOutCostsNothing() {
    Fees fees = new Fees(BigDecimal.ZERO, new BigDecimal("5"));

    assertThat(score(Held.CLOSE, DrillCall.LONG, 0.05, fees).result()).isCloseTo(0.099, EXACT);
    assertThat(score(Held.CLOSE, DrillCall.NO, 0.05, fees).result()).isZero();
  }

  @Test
  void meansLeaveOutWhoStayedOutOfTheStopsOnly() {
    List<DrillScore> scores =
        List.of(
            new DrillScore(DrillCall.LONG, 0.04, 2, false, 0.01, 0, 10),
            new DrillScore(DrillCall.NO, 0, 0, false, Double.NaN, 0, Double.NaN),
            new DrillScore(DrillCall.SHORT, -0.01, -1, true, 0.03, 0, 10));

    assertThat(DrillScore.meanResult(scores)).isCloseTo(0.01, EXACT);
    assertThat(DrillScore.meanMultiple(scores)).isCloseTo(0.5, EXACT);
    assertThat(DrillScore.meanByScan(scores)).isCloseTo(0.02, EXACT);
    assertThat(DrillScore.meanResult(List.of())).isZero();
  }

  @Test
  void theSameSeedShowsTheSameCasesOnceEach() {
    List<ResearchCase> cases =
        IntStream.range(0, 30).mapToObj(i -> one("SYM" + (char) ('A' + i))).toList();

    List<ResearchCase> some = Drill.of(cases, Held.CLOSE, 10, 7);
    assertThat(some)
        .hasSize(10)
        .doesNotHaveDuplicates()
        .isEqualTo(Drill.of(cases, Held.CLOSE, 10, 7));
    assertThat(some)
        .isNotEqualTo(cases.subList(0, 10))
        .isNotEqualTo(Drill.of(cases, Held.CLOSE, 10, 8));
    assertThat(Drill.of(cases.subList(0, 3), Held.CLOSE, 10, 7)).hasSize(3);
  }

  @Test
  void whatCannotBeDecidedOnItsOwnDayIsNotShown() {
    ResearchCase late = one("LATEST", Double.NaN);

    assertThat(Drill.of(List.of(late), Held.CLOSE, 10, 7)).isEmpty();
    assertThat(Drill.of(List.of(late), Held.DAY_FIVE, 10, 7)).isEmpty();
    assertThat(Drill.of(List.of(late), Held.HOUR, 10, 7)).containsExactly(late);
  }
}
