package kelvo.trade;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.function.Function;

/**
 * A round trip: the fills of one account and symbol from flat to flat, or to now while it is open.
 *
 * @param fills in order of time
 * @param result realised dollars less all fees
 * @param openShares shares still held; 0 when it is closed
 */
public record Trade(
    String account,
    String symbol,
    TradeSide side,
    List<Fill> fills,
    BigDecimal result,
    BigDecimal openShares) {
  public Trade {
    fills = List.copyOf(fills);
  }

  /** Whether the position is flat again. */
  public boolean closed() {
    return openShares.signum() == 0;
  }

  /** Time of the first fill; below 0 when that was before the session. */
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
  public BigDecimal shares() {
    return sum(side.direction(), Fill::quantity);
  }

  /** The most shares held at once. */
  public BigDecimal peakShares() {
    BigDecimal held = BigDecimal.ZERO;
    BigDecimal peak = BigDecimal.ZERO;
    for (Fill fill : fills) {
      boolean opens = fill.side().sign() == side.direction();
      held = opens ? held.add(fill.quantity()) : held.subtract(fill.quantity());
      peak = peak.max(held);
    }
    return peak;
  }

  /** All fees, dollars. */
  public BigDecimal fees() {
    return fills.stream().map(Fill::fee).reduce(BigDecimal.ZERO, BigDecimal::add);
  }

  private BigDecimal sum(int sign, Function<Fill, BigDecimal> what) {
    return fills.stream()
        .filter(f -> f.side().sign() == sign)
        .map(what)
        .reduce(BigDecimal.ZERO, BigDecimal::add);
  }

  private double averagePrice(int sign) {
    BigDecimal shares = sum(sign, Fill::quantity);
    BigDecimal money = sum(sign, f -> f.quantity().multiply(f.price()));
    return shares.signum() == 0
        ? Double.NaN
        : money.divide(shares, MathContext.DECIMAL128).doubleValue();
  }
}
