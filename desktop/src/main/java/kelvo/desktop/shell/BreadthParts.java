package kelvo.desktop.shell;

import javafx.geometry.Bounds;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.stage.Popup;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.workspace.Workspace;
import kelvo.session.KnownEvent;
import kelvo.state.MarketBreadth;
import kelvo.time.DayTime;

/** The breadth of the market in its parts, and every known event of the day. */
final class BreadthParts {
  private static final double WIDTH = 300;

  private BreadthParts() {}

  static void show(Node under, Workspace workspace, MarketBreadth breadth) {
    GridPane parts = new GridPane(12, 3);
    parts.getStyleClass().add("popup-alert");
    parts.getStylesheets().addAll(under.getScene().getStylesheets());
    parts.setPrefWidth(WIDTH);
    ColumnConstraints value = new ColumnConstraints();
    value.setHalignment(HPos.RIGHT);
    parts.getColumnConstraints().addAll(new ColumnConstraints(), value);
    line(
        parts,
        "Common stocks above yesterday's close",
        Double.isNaN(breadth.shareUp())
            ? "no prices yet"
            : Numbers.fixed(breadth.shareUp(), 1) + "%");
    line(parts, "Moved over 10%", Integer.toString(breadth.movers()));
    line(
        parts,
        "Usual at the close, 20 sessions",
        Double.isNaN(breadth.usualMovers()) ? "unknown" : Numbers.fixed(breadth.usualMovers(), 0));
    for (MarketBreadth.Benchmark benchmark : breadth.benchmarks()) {
      line(parts, benchmark.symbol(), Numbers.percent(benchmark.changePercent()));
    }
    for (KnownEvent event : workspace.session().knownEvents()) {
      String whose = event.symbol().isEmpty() ? "" : event.symbol() + ": ";
      String past = event.at() <= workspace.clock().now() ? ", past" : "";
      line(parts, whose + event.title() + past, DayTime.minutes(event.at()));
    }
    Popup popup = new Popup();
    popup.setAutoHide(true);
    popup.setAutoFix(true);
    popup.getContent().add(parts);
    Bounds place = under.localToScreen(under.getBoundsInLocal());
    popup.show(under.getScene().getWindow(), place.getMaxX() - WIDTH - 12, place.getMaxY());
  }

  private static void line(GridPane parts, String words, String value) {
    Label name = new Label(words);
    name.getStyleClass().addAll("small", "faded");
    name.setWrapText(true);
    Label number = new Label(value);
    number.getStyleClass().add("small");
    number.setMinWidth(Label.USE_PREF_SIZE);
    parts.addRow(parts.getRowCount(), name, number);
  }
}
