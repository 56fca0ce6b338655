package kelvo.trade;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import kelvo.tape.Price;

/**
 * What is held of a symbol now.
 *
 * @param side long or short
 * @param shares how many, above 0
 * @param entryPrice average of the opening fills, dollars
 * @param realised dollars made by what was closed so far, less all fees
 */
public record OpenPosition(
    String account,
    String symbol,
    TradeSide side,
    BigDecimal shares,
    double entryPrice,
    double realised) {
  /** The positions that these fills leave open, by time of entry. */
  public static List<OpenPosition> of(List<Fill> fills, CostMethod method) {
    List<OpenPosition> open = new ArrayList<>();
    for (Trade trade : RoundTrips.of(fills, method).trades()) {
      if (!trade.closed()) {
        open.add(
            new OpenPosition(
                trade.account(),
                trade.symbol(),
                trade.side(),
                trade.openShares(),
                trade.entryPrice(),
                trade.result().doubleValue()));
      }
    }
    return List.copyOf(open);
  }

  /** What it has made at a price, what was realised included, dollars. */
  public double result(long price) {
    double moved = (Price.dollars(price) - entryPrice) * side.direction();
    return realised + moved * shares.doubleValue();
  }

  /**
   * How far the price has come in risks (R): the move from the entry over the distance of the stop.
   *
   * @param price {@link Price} units
   * @param stop likewise
   * @return NaN when the stop is at the entry
   */
  public double risks(long price, long stop) {
    double risk = Math.abs(entryPrice - Price.dollars(stop));
    double moved = (Price.dollars(price) - entryPrice) * side.direction();
    return risk == 0 ? Double.NaN : moved / risk;
  }
}
