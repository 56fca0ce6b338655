package kelvo.review;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import kelvo.trade.Trade;

/**
 * Totals over closed trades in order of their exits. Money is in dollars; unknown numbers are NaN.
 *
 * @param trades how many closed trades
 * @param wins results above zero
 * @param losses results below zero
 * @param net sum of results
 * @param fees sum of fees
 * @param winRate wins over trades
 * @param profitFactor sum of gains over sum of losses
 * @param expectancy mean result
 * @param drawdown largest fall of the cumulated result from its highest point, at least 0
 */
public record TradeTotals(
    int trades,
    int wins,
    int losses,
    double net,
    double fees,
    double winRate,
    double profitFactor,
    double expectancy,
    double drawdown) {
  /** The totals of a session's trades; open ones are left out. */
  public static TradeTotals of(List<Trade> trades) {
    return inOrder(trades.stream().sorted(Comparator.comparingLong(Trade::exitAt)).toList());
  }

  /** The totals of trades that are in the order of their exits; open ones are left out. */
  public static TradeTotals inOrder(List<Trade> trades) {
    List<Trade> closed = trades.stream().filter(Trade::closed).toList();
    double gains = 0;
    double losses = 0;
    double highest = 0;
    double drawdown = 0;
    int wins = 0;
    int lost = 0;
    for (Trade trade : closed) {
      double result = trade.result().doubleValue();
      gains += Math.max(0, result);
      losses += Math.max(0, -result);
      wins += result > 0 ? 1 : 0;
      lost += result < 0 ? 1 : 0;
      highest = Math.max(highest, gains - losses);
      drawdown = Math.max(drawdown, highest - (gains - losses));
    }
    int n = closed.size();
    double fees =
        closed.stream().map(Trade::fees).reduce(BigDecimal.ZERO, BigDecimal::add).doubleValue();
    double none = n == 0 ? Double.NaN : 1;
    return new TradeTotals(
        n,
        wins,
        lost,
        gains - losses,
        fees,
        none * wins / n,
        losses == 0 ? Double.NaN : gains / losses,
        none * (gains - losses) / n,
        drawdown);
  }
}
