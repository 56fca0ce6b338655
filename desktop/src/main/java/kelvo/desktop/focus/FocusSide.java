package kelvo.desktop.focus;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.SplitPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import kelvo.desktop.chart.ChartBar;
import kelvo.desktop.chart.ChartChoice;
import kelvo.desktop.chart.DailyPriceChart;
import kelvo.desktop.chart.DrawnLevels;
import kelvo.desktop.chart.IntradayChart;
import kelvo.desktop.shell.StageKind;
import kelvo.desktop.shell.Workspace;
import kelvo.engine.MarketSnapshot;
import kelvo.trade.Fill;
import kelvo.watch.LevelKind;

/**
 * The one symbol in focus: header, charts, and below them facts with checks, prints, news or the
 * plan.
 */
public final class FocusSide extends BorderPane {
  private final Workspace workspace;
  private final FocusHeader header = new FocusHeader();
  private final ChartChoice choice = new ChartChoice();
  private final IntradayChart minutes;
  private final DailyPriceChart days = new DailyPriceChart(choice);
  private final FactsPart facts = new FactsPart();
  private final PrintsPart prints = new PrintsPart();
  private final NewsPart news = new NewsPart();
  private final PlanPart plan;
  private final BorderPane lower = new BorderPane();
  private final SplitPane charts;
  private final Map<Node, ToggleButton> buttons = new HashMap<>();

  /** The focus side of a window. */
  public FocusSide(Workspace workspace) {
    this.workspace = workspace;
    plan = new PlanPart(workspace);
    minutes = new IntradayChart(choice, levelsOf(workspace));
    setTop(header);
    BorderPane intraday = new BorderPane(minutes);
    intraday.setTop(new ChartBar(choice));
    charts = new SplitPane(intraday, days, lower());
    charts.setOrientation(Orientation.VERTICAL);
    setCenter(charts);
    workspace.snapshot().addListener((o, was, is) -> show());
    workspace.book().addListener((o, was, is) -> show());
    workspace.theme().addListener((o, was, is) -> theme());
    workspace.stage().addListener((o, was, is) -> stage(was, is));
    theme();
  }

  private static DrawnLevels levelsOf(Workspace workspace) {
    return new DrawnLevels() {
      @Override
      public void level(long price) {
        workspace.addLevel(price, LevelKind.BY_HAND);
      }

      @Override
      public void trendLine(long firstAt, long firstPrice, long secondAt, long secondPrice) {
        workspace.addTrendLine(firstAt, firstPrice, secondAt, secondPrice);
      }
    };
  }

  private Node lower() {
    lower.setCenter(facts);
    lower.getStyleClass().add("card");
    HBox tabs = new HBox(4);
    tabs.getStyleClass().add("part");
    ToggleGroup group = new ToggleGroup();
    for (Node part : List.of(facts, prints, news, plan)) {
      ToggleButton button = new ToggleButton(part.getAccessibleText());
      button.getStyleClass().setAll("toggle-button", "small-button");
      button.setToggleGroup(group);
      button.setSelected(part == facts);
      button.setOnAction(e -> choose(part));
      buttons.put(part, button);
      tabs.getChildren().add(button);
    }
    lower.setTop(new VBox(tabs));
    lower.setMinHeight(120);
    return lower;
  }

  private void choose(Node part) {
    buttons.forEach((of, button) -> button.setSelected(of == part));
    lower.setCenter(part);
  }

  /** The text of news belongs beside the list of news. */
  private void stage(StageKind from, StageKind to) {
    if (to == StageKind.CATALYSTS) {
      choose(news);
    } else if (from == StageKind.CATALYSTS && lower.getCenter() == news) {
      choose(facts);
    }
  }

  private void theme() {
    minutes.theme(workspace.theme().get());
    days.theme(workspace.theme().get());
    prints.theme(workspace.theme().get());
  }

  private void show() {
    MarketSnapshot shown = workspace.snapshot().get();
    if (shown == null) {
      return;
    }
    MarketSnapshot.Focus focus = shown.focus();
    String symbol = focus == null ? "" : focus.facts().symbol();
    List<Fill> fills =
        workspace.book().get().fillsUntil(shown.moment()).stream()
            .filter(f -> f.symbol().equals(symbol))
            .toList();
    header.show(focus);
    minutes.show(
        focus,
        workspace.book().get().levelsOn(symbol, shown.moment()),
        fills,
        shown.moment(),
        workspace.session().hours().close());
    days.show(focus == null ? null : focus.daily());
    facts.show(focus);
    prints.show(focus);
    news.show(focus);
    plan.show(symbol);
  }

  /** How far down the two charts reach, 0 to 1 each. */
  public double[] splits() {
    return charts.getDividerPositions();
  }

  /** Puts the lower ends of the two charts somewhere. */
  public void splitAt(double intraday, double daily) {
    charts.setDividerPositions(intraday, daily);
  }

  /** How many minute bars are drawn. */
  public int minuteBarsDrawn() {
    return minutes.barsDrawn();
  }
}
