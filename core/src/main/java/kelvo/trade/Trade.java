package kelvo.trade;

import java.util.List;
import kelvo.tape.Price;

/**
 * A round trip: the fills of one account and symbol from flat to flat, or to now while it is open.
 *
 * @param fills in order of time
 * @param result realised money less all fees, {@link Price} units
 * @param openShares shares still held; 0 when it is closed
 */
public record Trade(
    String account, String symbol, TradeSide side, List<Fill> fills, long result, long openShares) {
  public Trade {
    fills = List.copyOf(fills);
  }

  /** Whether the position is flat again. */
  public boolean closed() {
    return openShares == 0;
  }

  /** Time of the first fill. */
  public long entryAt() {
    return fills.getFirst().at();
  }

  /** Time of the last closing fill; of the last fill while open. */
  public long exitAt() {
    return fills.getLast().at();
  }

  /** Average price of the opening fills, dollars. */
  public double entryPrice() {
    return averagePrice(side.direction());
  }

  /** Average price of the closing fills, dollars; unknown (NaN) before the first. */
  public double exitPrice() {
    return averagePrice(-side.direction());
  }

  /** Shares opened in all. */
  public long shares() {
    return quantity(side.direction());
  }

  /** The most shares held at once. */
  public long peakShares() {
    long held = 0;
    long peak = 0;
    for (Fill fill : fills) {
      held += fill.side().sign() * side.direction() * fill.quantity();
      peak = Math.max(peak, held);
    }
    return peak;
  }

  /** All fees, {@link Price} units. */
  public long fees() {
    return fills.stream().mapToLong(Fill::fee).sum();
  }

  private long quantity(int sign) {
    return fills.stream().filter(f -> f.side().sign() == sign).mapToLong(Fill::quantity).sum();
  }

  private double averagePrice(int sign) {
    long shares = quantity(sign);
    long money =
        fills.stream()
            .filter(f -> f.side().sign() == sign)
            .mapToLong(f -> f.price() * f.quantity())
            .sum();
    return shares == 0 ? Double.NaN : money / (double) shares / Price.DOLLAR;
  }
}
