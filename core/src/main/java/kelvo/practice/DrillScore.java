package kelvo.practice;

import java.util.List;
import kelvo.history.MinuteBar;
import kelvo.research.Held;
import kelvo.research.Question;
import kelvo.research.ResearchCase;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/**
 * What a call on a case came to, beside what the scan made of it alone. One gets in at the case's
 * own entry whichever way, and out at the stop, or where the case was held until, at most the
 * close: who drills decides on one day. Where a minute reaches the stop, one is out at the stop, or
 * at the open of that minute when it opens beyond.
 *
 * @param call what was said
 * @param result the part won of the entry, costs taken off; 0 who stayed out
 * @param multiple the same in stops: 1 won as much as was at risk; 0 who stayed out
 * @param stopped whether the stop was reached
 * @param byScan what the question's own way made by then without a stop; NaN when it cannot be
 *     known
 * @param exitAt when one was out, {@link DayTime}: of a minute its end; the entry's moment for who
 *     stayed out
 * @param exit dollars; NaN who stayed out
 */
public record DrillScore(
    DrillCall call,
    double result,
    double multiple,
    boolean stopped,
    double byScan,
    long exitAt,
    double exit) {
  /**
   * Scores a call.
   *
   * @param close when regular hours end, {@link DayTime}
   * @param bars the minutes of the case's session
   * @param stop how far from the entry the stop is, as a part of it, above 0
   */
  public static DrillScore of(
      ResearchCase one,
      Question question,
      Held until,
      long close,
      List<MinuteBar> bars,
      DrillCall call,
      double stop) {
    double byScan = one.result(until.withinSession());
    if (call == DrillCall.NO) {
      return new DrillScore(call, 0, 0, false, byScan, one.enteredAt(), Double.NaN);
    }
    long end = until.withinSession().end(one.enteredAt(), close);
    double limit = stopPrice(one, call, stop);
    double exit = one.entry();
    long exitAt = one.enteredAt();
    boolean stopped = false;
    for (MinuteBar bar : bars) {
      if (bar.start() + DayTime.MINUTE <= one.enteredAt() || bar.start() >= end || stopped) {
        continue;
      }
      double against = Price.dollars(call.way() > 0 ? bar.low() : bar.high());
      stopped = call.way() * (against - limit) <= 0;
      exitAt = bar.start() + DayTime.MINUTE;
      double open = Price.dollars(bar.open());
      exit = !stopped ? Price.dollars(bar.close()) : call.way() * (open - limit) < 0 ? open : limit;
    }
    double result = call.way() * (exit / one.entry() - 1) - question.costs().part(one.entry());
    return new DrillScore(call, result, result / stop, stopped, byScan, exitAt, exit);
  }

  /**
   * Where the stop of a call is, dollars; NaN for who stays out.
   *
   * @param stop how far from the entry, as a part of it
   */
  public static double stopPrice(ResearchCase one, DrillCall call, double stop) {
    return call == DrillCall.NO ? Double.NaN : one.entry() * (1 - call.way() * stop);
  }

  /** The mean result of several, 0 for none. */
  public static double meanResult(List<DrillScore> scores) {
    return scores.stream().mapToDouble(DrillScore::result).average().orElse(0);
  }

  /** The mean in stops of those who did not stay out, 0 for none. */
  public static double meanMultiple(List<DrillScore> scores) {
    return scores.stream()
        .filter(score -> score.call() != DrillCall.NO)
        .mapToDouble(DrillScore::multiple)
        .average()
        .orElse(0);
  }

  /** What the scan alone made of the same cases in the mean; those unknown are left out. */
  public static double meanByScan(List<DrillScore> scores) {
    return scores.stream()
        .mapToDouble(DrillScore::byScan)
        .filter(result -> !Double.isNaN(result))
        .average()
        .orElse(0);
  }
}
