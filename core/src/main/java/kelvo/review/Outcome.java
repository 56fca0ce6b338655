package kelvo.review;

import kelvo.history.Averages;
import kelvo.history.DailyHistory;
import kelvo.session.Session;
import kelvo.state.PricePath;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/**
 * What the price did around a move, from prints up to the moment of the question. This is an
 * outcome: it looks at what came after the hit.
 *
 * @param goneShare part of the run that was over at the first hit, 0 to 1; NaN when unknown
 * @param ran whether it ran
 * @param fiveMinutes the best and worst excursion (MFE and MAE) in the five minutes after the first
 *     hit
 * @param halfHour in 30 minutes
 * @param toClose until the close
 */
public record Outcome(
    double goneShare, Ran ran, Excursion fiveMinutes, Excursion halfHour, Excursion toClose) {
  /** Whether a move ran. */
  public enum Ran {
    YES,
    NO,
    /** No print after the hit yet. */
    UNKNOWN
  }

  private static final long HALF_HOUR = 30 * DayTime.MINUTE;

  /** The outcome of a move on its price path. */
  public static Outcome of(Move move, PricePath path, Session session, ReviewSettings settings) {
    int direction = move.side().direction();
    long start = move.start();
    long base = path.best(start - HALF_HOUR, start, -direction);
    long peak = path.best(start, start + HALF_HOUR, direction);
    return new Outcome(
        goneShare(move.startPrice(), base, peak),
        ran(move, path, atrPercent(session, move), settings),
        excursion(path, start, start + 5 * DayTime.MINUTE, direction),
        excursion(path, start, start + HALF_HOUR, direction),
        excursion(path, start, session.hours().close(), direction));
  }

  private static double goneShare(long hitPrice, long base, long peak) {
    if (base == Price.NONE || peak == Price.NONE || peak == base) {
      return Double.NaN;
    }
    return Math.clamp((hitPrice - base) / (double) (peak - base), 0, 1);
  }

  /** Best and worst price in (start, until] against the first price after the start. */
  static Excursion excursion(PricePath path, long start, long until, int direction) {
    int first = path.firstAfter(start);
    if (first == path.size() || path.time(first) > until) {
      return Excursion.UNKNOWN;
    }
    double had = path.price(first);
    return new Excursion(
        100 * direction * (path.best(start, until, direction) - had) / had,
        Math.min(0, 100 * direction * (path.best(start, until, -direction) - had) / had));
  }

  private static double atrPercent(Session session, Move move) {
    DailyHistory history = session.security(move.security()).history();
    double[] atr = Averages.atr(history.bars(), 14);
    return atr.length == 0
        ? Double.NaN
        : 100 * atr[atr.length - 1] / Price.dollars(move.startPrice());
  }

  private static Ran ran(Move move, PricePath path, double atrPercent, ReviewSettings settings) {
    int first = path.firstAfter(move.start());
    if (first == path.size() || path.time(first) > move.start() + settings.ranWithin()) {
      return Ran.UNKNOWN;
    }
    double half = atrPercent / 2;
    double target = half > settings.ranLeastPercent() ? half : settings.ranLeastPercent();
    double had = path.price(first);
    for (int i = first;
        i < path.size() && path.time(i) <= move.start() + settings.ranWithin();
        i++) {
      double gain = 100 * move.side().direction() * (path.price(i) - had) / had;
      if (gain <= -target / 2) {
        return Ran.NO;
      }
      if (gain >= target) {
        return Ran.YES;
      }
    }
    return Ran.NO;
  }
}
