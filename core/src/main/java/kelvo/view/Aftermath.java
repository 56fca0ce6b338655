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
        change(path, at, 5 * DayTime.MINUTE, price, asked),
        change(path, at, FIFTEEN, price, asked));
  }

  private static double change(PricePath path, long at, long span, long price, long asked) {
    int last = path.firstAfter(at + span) - 1;
    boolean isKnown = asked >= at + span && last >= 0;
    return isKnown ? 100.0 * (path.price(last) - price) / price : Double.NaN;
  }

  /** Whether nothing of it can become known later. */
  boolean isWhole(long at, long asked) {
    return asked >= at + FIFTEEN;
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
