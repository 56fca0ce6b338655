package kelvo.review;

import kelvo.history.Averages;
import kelvo.history.DailyHistory;
import kelvo.session.Session;
import kelvo.state.PricePath;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/**
 * What the price did around a move, from prints up to the moment of the question. This is an
 * outcome: it looks at what came after the hit, and is unknown until its time has passed.
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
    /** Not decided yet, or no print after the hit. */
    UNKNOWN
  }

  private static final long FIVE_MINUTES = 5 * DayTime.MINUTE;
  private static final long HALF_HOUR = 30 * DayTime.MINUTE;

  /**
   * The outcome of a move on its price path.
   *
   * @param asked the moment of the question; what is not over by then is unknown
   */
  public static Outcome of(
      Move move, PricePath path, Session session, ReviewSettings settings, long asked) {
    int direction = move.side().direction();
    long start = move.start();
    long close = session.hours().close();
    long halfHour = end(start, HALF_HOUR, close);
    boolean over = asked >= halfHour;
    boolean decided = asked >= end(start, settings.ranWithin(), close);
    return new Outcome(
        over ? goneShare(move, path, halfHour) : Double.NaN,
        decided ? ran(move, path, session, settings) : Ran.UNKNOWN,
        excursion(path, start, end(start, FIVE_MINUTES, close), direction, asked),
        excursion(path, start, halfHour, direction, asked),
        excursion(path, start, close, direction, asked));
  }

  /** When an outcome over so long is decided: the close ends those of regular hours. */
  private static long end(long start, long span, long close) {
    return start < close ? Math.min(start + span, close) : start + span;
  }

  /** All of it when the move never went further than the hit. */
  private static double goneShare(Move move, PricePath path, long until) {
    int direction = move.side().direction();
    long hit = move.startPrice();
    long base = path.best(move.start() - HALF_HOUR, move.start(), -direction);
    long peak = path.best(move.start(), until, direction);
    if (base == Price.NONE || peak == Price.NONE) {
      return Double.NaN;
    }
    long furthest = direction * Math.max(direction * peak, direction * hit);
    return furthest == base
        ? Double.NaN
        : Math.clamp((hit - base) / (double) (furthest - base), 0, 1);
  }

  private static Excursion excursion(
      PricePath path, long start, long until, int direction, long asked) {
    return asked >= until ? excursion(path, start, until, direction) : Excursion.UNKNOWN;
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

  private static Ran ran(Move move, PricePath path, Session session, ReviewSettings settings) {
    long start = move.start();
    long until = end(start, settings.ranWithin(), session.hours().close());
    int first = path.firstAfter(start);
    if (first == path.size() || path.time(first) > until) {
      return Ran.UNKNOWN;
    }
    double half = atrPercent(session, move) / 2;
    double target = half > settings.ranLeastPercent() ? half : settings.ranLeastPercent();
    double had = path.price(first);
    for (int i = first; i < path.size() && path.time(i) <= until; i++) {
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
