package kelvo.desktop.focus;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
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
import javafx.scene.layout.VBox;
import kelvo.desktop.chart.ChartChoice;
import kelvo.desktop.days.DailyPart;
import kelvo.desktop.intraday.IntradayPart;
import kelvo.desktop.research.EchoLine;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.SymbolPart;
import kelvo.desktop.workspace.Workspace;
import org.jspecify.annotations.Nullable;

/**
 * The one symbol in focus: header, charts, and below them one of the other parts. Only the parts
 * that are seen follow the market.
 */
public final class FocusSide extends BorderPane {
  private static final double TWO_COLUMNS_FROM = 800;
  private static final double CHARTS_SHARE = 0.6;

  private final Workspace workspace;
  private final FocusHeader header = new FocusHeader();
  private final FiveFigures figures;
  private final EchoLine echoes;
  private final ChartChoice choice;
  private final IntradayPart minutes;
  private final SymbolPart days;
  private final Map<PartKind, SymbolPart> lowerParts = new LinkedHashMap<>();
  private final Map<PartKind, ToggleButton> buttons = new LinkedHashMap<>();
  private final BorderPane lower = new BorderPane();
  private final MenuButton popOut = new MenuButton("Pop out");
  private final SplitPane charts;
  private double dailyShare = 1;
  private PartKind chosen;

  /** The part that was chosen before a stage put another one beside itself. */
  private @Nullable PartKind before;

  /**
   * The focus side of a window.
   *
   * @param kinds all parts; those that are not one of the two charts take turns below them
   * @param ownWindow opens a window of its own with a part
   */
  public FocusSide(Workspace workspace, List<PartKind> kinds, Consumer<PartKind> ownWindow) {
    this.workspace = workspace;
    choice = new ChartChoice(workspace.window().pointed());
    minutes = new IntradayPart(workspace, choice);
    days = DailyPart.KIND.make(workspace, choice);
    kinds.stream()
        .filter(PartKind::isOfSymbol)
        .filter(kind -> !kind.equals(IntradayPart.KIND) && !kind.equals(DailyPart.KIND))
        .forEach(kind -> lowerParts.put(kind, kind.make(workspace, choice)));
    chosen = lowerParts.keySet().iterator().next();
    figures = new FiveFigures(workspace);
    echoes = new EchoLine(workspace);
    setTop(new VBox(header, figures, echoes));
    charts = new SplitPane(minutes.node(), days.node(), lower(kinds, ownWindow));
    charts.setOrientation(Orientation.VERTICAL);
    setCenter(charts);
    // What is laid out must not change while it is.
    widthProperty().addListener((o, was, is) -> Platform.runLater(this::columns));
    workspace.focus().quote().addListener((o, was, is) -> header.show(is));
    workspace.focus().symbol().addListener((o, was, is) -> follow(is));
    workspace.window().theme().addListener((o, was, is) -> theme());
    header.show(null);
    follow(workspace.focus().symbol().get());
    theme();
  }

  /** Where there is room, the other parts stand beside the charts, so that all of them is seen. */
  private void columns() {
    boolean wide = getWidth() >= TWO_COLUMNS_FROM;
    if (wide == isWide()) {
      return;
    }
    double[] shares = splits();
    if (wide) {
      charts.getItems().remove(lower);
      SplitPane columns = new SplitPane(charts, lower);
      columns.setDividerPositions(CHARTS_SHARE);
      setCenter(columns);
    } else {
      setCenter(charts);
      charts.getItems().add(lower);
    }
    splitAt(shares[0], shares[1]);
  }

  private boolean isWide() {
    return getCenter() != charts;
  }

  private Node lower(List<PartKind> kinds, Consumer<PartKind> ownWindow) {
    lower.getStyleClass().add("card");
    HBox tabs = new HBox(4);
    tabs.getStyleClass().add("part");
    ToggleGroup group = new ToggleGroup();
    for (PartKind kind : lowerParts.keySet()) {
      ToggleButton button = new ToggleButton(kind.title());
      button.getStyleClass().setAll("toggle-button", "small-button");
      button.setMinWidth(USE_PREF_SIZE);
      button.setToggleGroup(group);
      button.setOnAction(e -> choose(kind));
      buttons.put(kind, button);
      tabs.getChildren().add(button);
    }
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    tabs.getChildren().addAll(space, popOut(kinds, ownWindow));
    lower.setTop(tabs);
    lower.setMinHeight(120);
    choose(chosen);
    return lower;
  }

  private MenuButton popOut(List<PartKind> kinds, Consumer<PartKind> ownWindow) {
    popOut.getStyleClass().add("small-button");
    popOut.setMinWidth(USE_PREF_SIZE);
    popOut.setTooltip(
        new Tooltip(
            "Shows a part in a window of its own (O), which follows the focus or is pinned to a symbol"));
    for (PartKind kind : kinds) {
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
    shownLower().hide();
    chosen = kind;
    buttons.forEach((of, button) -> button.setSelected(of.equals(kind)));
    lower.setCenter(shownLower().node());
    shownLower().show(workspace.focus().symbol().get());
  }

  private SymbolPart shownLower() {
    return Objects.requireNonNull(lowerParts.get(chosen));
  }

  /**
   * Puts the part below that belongs beside a stage, and afterwards the one that was there before.
   *
   * @param id the part's; empty when any will do
   */
  public void putBeside(String id) {
    Optional<PartKind> wanted =
        lowerParts.keySet().stream().filter(kind -> kind.id().equals(id)).findFirst();
    if (wanted.isPresent()) {
      before = chosen;
      choose(wanted.get());
    } else if (before != null) {
      choose(before);
      before = null;
    }
  }

  /** Puts something of a stage below all parts; null for nothing. */
  public void putBelow(@Nullable Node node) {
    setBottom(node);
  }

  private void follow(String symbol) {
    figures.show(symbol);
    echoes.show(symbol);
    minutes.show(symbol);
    days.show(symbol);
    shownLower().show(symbol);
  }

  private void theme() {
    minutes.theme(workspace.window().theme().get());
    days.theme(workspace.window().theme().get());
    lowerParts.values().forEach(part -> part.theme(workspace.window().theme().get()));
  }

  /** How far down the two charts reach, 0 to 1 each. */
  public double[] splits() {
    double[] shares = charts.getDividerPositions();
    return isWide() ? new double[] {shares[0] * dailyShare, dailyShare} : shares;
  }

  /** Puts the lower ends of the two charts somewhere. */
  public void splitAt(double intraday, double daily) {
    dailyShare = daily;
    if (isWide()) {
      charts.setDividerPositions(intraday / daily);
    } else {
      charts.setDividerPositions(intraday, daily);
    }
  }

  /** How many minute bars are drawn. */
  public int minuteBarsDrawn() {
    return minutes.barsDrawn();
  }
}
