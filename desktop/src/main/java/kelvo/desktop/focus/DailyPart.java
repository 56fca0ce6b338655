package kelvo.desktop.focus;

import javafx.scene.Node;
import kelvo.desktop.chart.ChartChoice;
import kelvo.desktop.chart.DailyPriceChart;
import kelvo.desktop.shell.Workspace;
import kelvo.desktop.theme.Theme;

/** The chart of the days. */
final class DailyPart implements FocusPart {
  private final DailyPriceChart chart;

  DailyPart(Workspace workspace, ChartChoice choice) {
    chart = new DailyPriceChart(choice, workspace.trader());
  }

  @Override
  public Node node() {
    return chart;
  }

  @Override
  public void show(ShownSymbol shown) {
    chart.show(shown.focus(), shown.levels(), shown.moment());
  }

  @Override
  public void theme(Theme theme) {
    chart.theme(theme);
  }
}
