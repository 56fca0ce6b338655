package kelvo.desktop.focus;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SplitPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import kelvo.desktop.chart.ChartChoice;
import kelvo.desktop.shell.StageKind;
import kelvo.desktop.shell.Workspace;
import kelvo.view.MarketSnapshot;

/**
 * The one symbol in focus: header, charts, and below them facts with checks, prints, news or the
 * plan.
 */
public final class FocusSide extends BorderPane {
  private static final List<PartKind> LOWER =
      List.of(PartKind.FACTS, PartKind.PRINTS, PartKind.NEWS, PartKind.PLAN);

  private final Workspace workspace;
  private final FocusHeader header = new FocusHeader();
  private final ChartChoice choice;
  private final IntradayPart minutes;
  private final FocusPart days;
  private final Map<PartKind, FocusPart> lowerParts = new EnumMap<>(PartKind.class);
  private final Map<PartKind, ToggleButton> buttons = new EnumMap<>(PartKind.class);
  private final BorderPane lower = new BorderPane();
  private final MenuButton popOut = new MenuButton("Own window");
  private final SplitPane charts;
  private PartKind chosen = PartKind.FACTS;

  /**
   * The focus side of a window.
   *
   * @param ownWindow opens a window of its own with a part
   */
  public FocusSide(Workspace workspace, Consumer<PartKind> ownWindow) {
    this.workspace = workspace;
    choice = new ChartChoice(workspace.pointed());
    minutes = new IntradayPart(workspace, choice);
    days = PartKind.DAILY.make(workspace, choice);
    LOWER.forEach(kind -> lowerParts.put(kind, kind.make(workspace, choice)));
    setTop(header);
    charts = new SplitPane(minutes.node(), days.node(), lower(ownWindow));
    charts.setOrientation(Orientation.VERTICAL);
    setCenter(charts);
    workspace.snapshot().addListener((o, was, is) -> show());
    workspace.book().addListener((o, was, is) -> show());
    workspace.theme().addListener((o, was, is) -> theme());
    workspace.stage().addListener((o, was, is) -> stage(was, is));
    theme();
  }

  private Node lower(Consumer<PartKind> ownWindow) {
    lower.getStyleClass().add("card");
    HBox tabs = new HBox(4);
    tabs.getStyleClass().add("part");
    ToggleGroup group = new ToggleGroup();
    for (PartKind kind : LOWER) {
      ToggleButton button = new ToggleButton(kind.title());
      button.getStyleClass().setAll("toggle-button", "small-button");
      button.setToggleGroup(group);
      button.setOnAction(e -> choose(kind));
      buttons.put(kind, button);
      tabs.getChildren().add(button);
    }
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    tabs.getChildren().addAll(space, popOut(ownWindow));
    lower.setTop(tabs);
    lower.setMinHeight(120);
    choose(chosen);
    return lower;
  }

  private MenuButton popOut(Consumer<PartKind> ownWindow) {
    popOut.getStyleClass().add("small-button");
    popOut.setMinWidth(USE_PREF_SIZE);
    popOut.setTooltip(
        new Tooltip(
            "Shows a part in a window of its own (O), which follows the focus or is pinned to a symbol"));
    for (PartKind kind : PartKind.values()) {
      MenuItem item = new MenuItem(kind.title());
      item.setOnAction(e -> ownWindow.accept(kind));
      popOut.getItems().add(item);
    }
    return popOut;
  }

  /** Offers the parts for windows of their own. */
  public void offerWindows() {
    popOut.requestFocus();
    popOut.show();
  }

  private void choose(PartKind kind) {
    chosen = kind;
    buttons.forEach((of, button) -> button.setSelected(of == kind));
    FocusPart part = lowerParts.get(kind);
    if (part != null) {
      lower.setCenter(part.node());
    }
    show();
  }

  /** The text of news belongs beside the list of news. */
  private void stage(StageKind from, StageKind to) {
    if (to == StageKind.CATALYSTS) {
      choose(PartKind.NEWS);
    } else if (from == StageKind.CATALYSTS && chosen == PartKind.NEWS) {
      choose(PartKind.FACTS);
    }
  }

  private void theme() {
    minutes.theme(workspace.theme().get());
    days.theme(workspace.theme().get());
    lowerParts.values().forEach(part -> part.theme(workspace.theme().get()));
  }

  private void show() {
    MarketSnapshot snapshot = workspace.snapshot().get();
    if (snapshot == null) {
      return;
    }
    ShownSymbol shown = ShownSymbol.of(workspace, snapshot.focus());
    header.show(snapshot.focus());
    minutes.show(shown);
    days.show(shown);
    FocusPart part = lowerParts.get(chosen);
    if (part != null) {
      part.show(shown);
    }
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
