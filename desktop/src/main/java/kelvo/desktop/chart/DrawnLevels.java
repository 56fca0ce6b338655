package kelvo.desktop.chart;

/** Hears of the levels that are drawn on a chart by hand. */
public interface DrawnLevels {
  /** A price was pointed at, {@link kelvo.tape.Price} units. */
  void level(String symbol, long price);

  /** A line was drawn through two points: times of the day and prices. */
  void trendLine(String symbol, long firstAt, long firstPrice, long secondAt, long secondPrice);
}
