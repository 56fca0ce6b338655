package kelvo.practice;

import java.util.List;
import kelvo.history.MinuteBar;
import kelvo.tape.Price;

/**
 * Minute bars without their prices: per cent from the first close. Immutable.
 *
 * @param bars oldest first
 * @param firstClose what is 0%, dollars; NaN without a bar
 */
public record BlindBars(List<Bar> bars, double firstClose) {
  /** Nothing traded. */
  public static final BlindBars NONE = new BlindBars(List.of(), Double.NaN);

  /**
   * A minute.
   *
   * @param start {@link kelvo.time.DayTime}
   * @param open per cent from the first close, as the three after it
   */
  public record Bar(long start, double open, double high, double low, double close, long volume) {}

  public BlindBars {
    bars = List.copyOf(bars);
  }

  /** Bars, of which the close of the first is 0%. */
  public static BlindBars of(List<MinuteBar> minutes) {
    if (minutes.isEmpty()) {
      return NONE;
    }
    BlindBars none = new BlindBars(List.of(), Price.dollars(minutes.getFirst().close()));
    return new BlindBars(
        minutes.stream()
            .map(
                minute ->
                    new Bar(
                        minute.start(),
                        none.percent(Price.dollars(minute.open())),
                        none.percent(Price.dollars(minute.high())),
                        none.percent(Price.dollars(minute.low())),
                        none.percent(Price.dollars(minute.close())),
                        minute.volume()))
            .toList(),
        none.firstClose);
  }

  /** The newest of them, on the same scale. */
  public BlindBars newest(int count) {
    return new BlindBars(bars.subList(Math.max(0, bars.size() - count), bars.size()), firstClose);
  }

  /** A price in dollars as per cent from the first close; NaN stays NaN. */
  public double percent(double price) {
    return 100 * (price / firstClose - 1);
  }

  /** The lowest of all; NaN without a bar. */
  public double low() {
    return bars.stream().mapToDouble(Bar::low).min().orElse(Double.NaN);
  }

  /** The highest of all; NaN without a bar. */
  public double high() {
    return bars.stream().mapToDouble(Bar::high).max().orElse(Double.NaN);
  }
}
