package kelvo.chart;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kelvo.history.Averages;
import kelvo.history.DailyBar;
import kelvo.session.SecurityFacts;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/**
 * Daily bars with today's running one at the end, and three exponential averages of the closes.
 *
 * @param bars oldest first
 * @param ema10 dollars, one value a bar; NaN before there are enough
 * @param ema50 as ema10
 * @param ema200 as ema10
 */
public record DailyChart(List<DailyBar> bars, double[] ema10, double[] ema50, double[] ema200) {
  /**
   * The chart of a security at the moment of its state. Today's bar spans the whole session so far.
   */
  public static DailyChart of(SecurityFacts facts, SymbolState state, LocalDate today) {
    List<DailyBar> bars = new ArrayList<>(facts.history().bars());
    if (state.sessionHigh() != Price.NONE && state.lastPrice() != Price.NONE) {
      long high = Math.max(state.sessionHigh(), state.lastPrice());
      long low = Math.min(state.sessionLow(), state.lastPrice());
      long open =
          state.open() == Price.NONE ? state.lastPrice() : Math.clamp(state.open(), low, high);
      bars.add(
          new DailyBar(today, open, high, low, state.lastPrice(), state.volume(), state.trades()));
    }
    double[] closes = bars.stream().mapToDouble(b -> Price.dollars(b.close())).toArray();
    return new DailyChart(
        List.copyOf(bars),
        Averages.ema(closes, 10),
        Averages.ema(closes, 50),
        Averages.ema(closes, 200));
  }
}
