package kelvo.desktop.live;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.shell.StageKind;
import kelvo.desktop.shell.Workspace;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.view.MarketSnapshot;
import kelvo.field.Unit;
import kelvo.tape.Price;
import kelvo.hit.Hit;
import kelvo.scan.Scan;
import kelvo.hit.SymbolStream;
import kelvo.time.DayTime;

/** The Live stage: halts, the stream of hits by symbol, the cards of the Ten. */
public final class LiveStage extends BorderPane {
  private final Workspace workspace;
  private final HBox halts = new HBox(12);
  private final Grid<SymbolStream.Row> stream =
      new Grid<>("Hits by symbol", row -> row.newest().security());
  private final TenCards cards;
  private int hitsShown = -1;

  /** The stage of a window. */
  public LiveStage(Workspace workspace) {
    this.workspace = workspace;
    cards = new TenCards(workspace);
    halts.getStyleClass().addAll("card", "part");
    halts.setAlignment(Pos.CENTER_LEFT);
    halts.setMinHeight(30);
    setTop(new VBox(halts, switches()));
    setCenter(stream);
    setBottom(cards);
    stream.columns(columns());
    stream.emptyText(
        "No hits yet. Scans look from the start of their windows; the day rail shows when.");
    stream.onSelect(row -> workspace.focusOn(row.newest().symbol()));
    stream.theme(workspace.theme().get());
    workspace.theme().addListener((o, was, is) -> stream.theme(is));
    workspace.onSnapshot(StageKind.LIVE, () -> show(false));
    workspace
        .focus()
        .addListener((o, was, is) -> workspace.session().numberOf(is).ifPresent(stream::select));
  }

  private HBox switches() {
    CheckBox popup = new CheckBox("Popups");
    popup.selectedProperty().bindBidirectional(workspace.alerts().popup());
    CheckBox sound = new CheckBox("Sound");
    sound.selectedProperty().bindBidirectional(workspace.alerts().sound());
    MenuButton scans = new MenuButton("Scans in the stream");
    for (Scan scan : workspace.scans()) {
      CheckMenuItem item = new CheckMenuItem(scan.name());
      item.setSelected(true);
      item.setOnAction(
          e -> {
            if (item.isSelected()) {
              workspace.alerts().silenced().remove(scan.name());
            } else {
              workspace.alerts().silenced().add(scan.name());
            }
            show(true);
          });
      scans.getItems().add(item);
    }
    List.of(popup, sound, scans).forEach(node -> node.setFocusTraversable(false));
    Label alert = new Label("Hits on the Ten alert while the day plays");
    alert.getStyleClass().addAll("faded", "small");
    HBox line = new HBox(14, popup, sound, scans, alert);
    line.getStyleClass().add("part");
    line.setAlignment(Pos.CENTER_LEFT);
    return line;
  }

  private List<GridColumn<SymbolStream.Row>> columns() {
    return List.of(
        GridColumn.words("Symbol", "The ticker", 66, r -> r.newest().symbol()),
        GridColumn.words(
            "Last hit",
            "Time of the newest hit, New York",
            60,
            r -> DayTime.seconds(r.newest().at())),
        GridColumn.<SymbolStream.Row>words(
                "What happened",
                "The trigger of the newest hit",
                138,
                r -> arrow(r.newest()) + r.newest().trigger().words())
            .toned(r -> Tone.ofChange(r.newest().side().direction())),
        GridColumn.words("Scan", "The scan that hit", 98, r -> r.newest().scan()),
        GridColumn.<SymbolStream.Row>numbers(
                "Repeats",
                "How often this trigger has fired without a pause of the scan's fold time",
                48,
                r -> "×" + r.repeats())
            .toned(r -> r.repeats() >= 10 ? Tone.ACCENT : Tone.INK),
        GridColumn.numbers(
            "a minute",
            "Firings a minute in this run",
            48,
            r -> r.ratePerMinute() == 0 ? "" : Numbers.fixed(r.ratePerMinute(), 1)),
        GridColumn.numbers(
            "Price $", "Kelvo's price at the hit", 52, r -> Price.text(r.newest().price())),
        GridColumn.<SymbolStream.Row>numbers(
                "Change %",
                "From the previous close, at the hit",
                62,
                r -> Numbers.percent(r.newest().fields().of("change %")))
            .toned(r -> Tone.ofChange(r.newest().fields().of("change %"))),
        GridColumn.numbers(
            "Volume 5m",
            "Shares of the five minutes before the hit",
            62,
            r -> Unit.SHARES.text(r.newest().fields().of("volume 5m"))));
  }

  private static String arrow(Hit hit) {
    return hit.side().direction() > 0 ? "▲ " : "▼ ";
  }

  private void show(boolean always) {
    MarketSnapshot shown = workspace.snapshot().get();
    if (shown == null) {
      return;
    }
    halts(shown);
    cards.show(shown);
    if (always || shown.hits().size() != hitsShown) {
      hitsShown = shown.hits().size();
      stream.rows(
          SymbolStream.of(
              shown.hits(),
              workspace.scans(),
              scan -> !workspace.alerts().silenced().contains(scan)));
    }
  }

  private void halts(MarketSnapshot shown) {
    halts.getChildren().clear();
    if (shown.halts().isEmpty()) {
      Label none = new Label("No halts");
      none.getStyleClass().add("faded");
      halts.getChildren().add(none);
    }
    for (MarketSnapshot.Halted halted : shown.halts()) {
      long seconds = (shown.moment() - halted.since()) / DayTime.SECOND;
      Label label =
          new Label(
              halted.symbol()
                  + " "
                  + halted.state().word()
                  + " "
                  + halted.reason()
                  + " since "
                  + DayTime.seconds(halted.since())
                  + ", for "
                  + seconds / 60
                  + " min "
                  + seconds % 60
                  + " s");
      label.getStyleClass().addAll("strong", "tone-halt");
      label.setOnMouseClicked(e -> workspace.focusOn(halted.symbol()));
      halts.getChildren().add(label);
    }
  }

  /** Takes a key of this stage; returns whether it was one. */
  public boolean key(KeyEvent event) {
    if (event.getCode() == KeyCode.J || event.getCode() == KeyCode.SPACE) {
      stream.move(1);
      return true;
    }
    return false;
  }
}
