package kelvo.desktop.focus;

import javafx.scene.Node;
import kelvo.desktop.chart.ChartChoice;
import kelvo.desktop.chart.DailyPriceChart;
import kelvo.desktop.theme.Theme;

/** The chart of the days. */
final class DailyPart implements FocusPart {
  private final DailyPriceChart chart;

  DailyPart(ChartChoice choice) {
    chart = new DailyPriceChart(choice);
  }

  @Override
  public Node node() {
    return chart;
  }

  @Override
  public void show(ShownSymbol shown) {
    chart.show(shown.focus() == null ? null : shown.focus().daily());
  }

  @Override
  public void theme(Theme theme) {
    chart.theme(theme);
  }
}
