package kelvo.view;

import java.util.Collection;
import java.util.function.ToDoubleFunction;
import kelvo.state.PricePath;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/**
 * How the price had changed some time after something rang, per cent of the price then; NaN while
 * the time has not passed, or nothing was traded.
 *
 * @param one after a minute
 * @param five after five
 * @param fifteen after fifteen
 */
public record Aftermath(double one, double five, double fifteen) {
  /** Nothing is known yet. */
  public static final Aftermath UNKNOWN = new Aftermath(Double.NaN, Double.NaN, Double.NaN);

  /** How many parts it has. */
  static final int PARTS = 3;

  private static final long FIVE = 5 * DayTime.MINUTE;
  private static final long FIFTEEN = 15 * DayTime.MINUTE;

  /**
   * What followed a moment on a price path.
   *
   * @param price at that moment
   * @param asked the moment of the question
   */
  static Aftermath of(PricePath path, long at, long price, long asked) {
    if (price == Price.NONE) {
      return UNKNOWN;
    }
    return new Aftermath(
        change(path, at, DayTime.MINUTE, price, asked),
        change(path, at, FIVE, price, asked),
        change(path, at, FIFTEEN, price, asked));
  }

  private static double change(PricePath path, long at, long span, long price, long asked) {
    int last = path.firstAfter(at + span) - 1;
    boolean isKnown = asked >= at + span && last >= 0;
    return isKnown ? 100.0 * (path.price(last) - price) / price : Double.NaN;
  }

  /** How many of its parts can be known at a moment, 0 to {@link #PARTS}. */
  static int partsKnown(long at, long asked) {
    long passed = asked - at;
    return passed >= FIFTEEN ? PARTS : passed >= FIVE ? 2 : passed >= DayTime.MINUTE ? 1 : 0;
  }

  /** The means of what is known. */
  static Aftermath mean(Collection<Aftermath> all) {
    return new Aftermath(
        mean(all, Aftermath::one), mean(all, Aftermath::five), mean(all, Aftermath::fifteen));
  }

  private static double mean(Collection<Aftermath> all, ToDoubleFunction<Aftermath> part) {
    return all.stream()
        .mapToDouble(part)
        .filter(value -> !Double.isNaN(value))
        .average()
        .orElse(Double.NaN);
  }
}
