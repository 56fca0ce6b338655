package kelvo.desktop.focus;

import javafx.scene.Node;
import javafx.scene.layout.BorderPane;
import kelvo.desktop.chart.ChartBar;
import kelvo.desktop.chart.ChartChoice;
import kelvo.desktop.chart.IntradayChart;
import kelvo.desktop.shell.Workspace;
import kelvo.desktop.theme.Theme;

/** The chart of the day and the choices above it. */
final class IntradayPart implements FocusPart {
  private final BorderPane pane;
  private final IntradayChart chart;

  IntradayPart(Workspace workspace, ChartChoice choice) {
    chart = new IntradayChart(choice, workspace.trader());
    pane = new BorderPane(chart);
    pane.setTop(new ChartBar(choice));
  }

  @Override
  public Node node() {
    return pane;
  }

  @Override
  public void show(ShownSymbol shown) {
    chart.show(
        shown.focus(), shown.levels(), shown.fills(), shown.date(), shown.moment(), shown.close());
  }

  @Override
  public void theme(Theme theme) {
    chart.theme(theme);
  }

  int barsDrawn() {
    return chart.barsDrawn();
  }
}
