package kelvo.sim;

import java.time.LocalDate;
import java.util.List;
import kelvo.time.DayTime;
import kelvo.trade.FillSide;

/**
 * What the demo's trader does at a moment of a session.
 *
 * @param time New York time
 */
record InventedOrder(String time, String symbol, FillSide side, long shares) {
  private static final long FEE_PER_SHARE = 50;

  /** Filled at the newest print before it. */
  InventedFill filled(LocalDate date, List<InventedStock> stocks, SessionEvents trades) {
    int until = (int) (DayTime.parse(time) / DayTime.MILLISECOND);
    int newest = -1;
    for (int i = 0; i < trades.size; i++) {
      if (trades.timesMs[i] <= until
          && stocks.get(trades.stocks[i]).symbol().equals(symbol)
          && (newest < 0 || trades.timesMs[i] >= trades.timesMs[newest])) {
        newest = i;
      }
    }
    return new InventedFill(
        date, time, symbol, side, shares, trades.firsts[newest], shares * FEE_PER_SHARE);
  }
}
