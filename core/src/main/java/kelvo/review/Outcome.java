package kelvo.review;

import java.util.EnumMap;
import java.util.Map;
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
 * @param excursions the best and worst excursion (MFE and MAE) after the first hit, by horizon
 */
public record Outcome(double goneShare, Ran ran, Map<Horizon, Excursion> excursions) {
  /** Whether a move ran. */
  public enum Ran {
    YES,
    NO,
    /** Not decided yet, or no print after the hit. */
    UNKNOWN
  }

  private static final long HALF_HOUR = 30 * DayTime.MINUTE;

  public Outcome {
    excursions = Map.copyOf(excursions);
  }

  /** The best and worst excursion over a horizon; unknown until it has passed. */
  public Excursion over(Horizon horizon) {
    return excursions.getOrDefault(horizon, Excursion.UNKNOWN);
  }

  /** The best and worst excursion in 30 minutes. */
  public Excursion halfHour() {
    return over(Horizon.HALF_HOUR);
  }

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
    long halfHour = Horizon.HALF_HOUR.end(start, close);
    boolean over = asked >= halfHour;
    boolean decided = asked >= end(start, settings.ranWithin(), close);
    return new Outcome(
        over ? goneShare(move, path, halfHour) : Double.NaN,
        decided ? ran(move, path, session, settings) : Ran.UNKNOWN,
        excursions(path, start, close, direction, asked));
  }

  /**
   * The excursions after a moment, over every horizon.
   *
   * @param close of regular hours
   * @param direction 1 for up, -1 for down
   * @param asked the moment of the question; what is not over by then is unknown
   */
  static Map<Horizon, Excursion> excursions(
      PricePath path, long start, long close, int direction, long asked) {
    Map<Horizon, Excursion> excursions = new EnumMap<>(Horizon.class);
    for (Horizon horizon : Horizon.values()) {
      long until = horizon.end(start, close);
      excursions.put(
          horizon, asked >= until ? excursion(path, start, until, direction) : Excursion.UNKNOWN);
    }
    return excursions;
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
