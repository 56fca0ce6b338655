package kelvo.desktop.live;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import kelvo.alert.Ring;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Workspace;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.Phase;
import kelvo.view.RangView;

/** What has rung today, the newest first, and how much of it since one last looked. */
final class RangPanel extends BorderPane {
  private final Workspace workspace;
  private final Grid<Ring> table = new Grid<>("Rang", ring -> ring);
  private final ImbalanceList imbalances;
  private final Label count = new Label();
  private final Button quiet;
  private long lookedUntil;
  private boolean seen;

  RangPanel(Workspace workspace) {
    this.workspace = workspace;
    setId("rang");
    lookedUntil = workspace.now();
    getStyleClass().add("card");
    imbalances = new ImbalanceList(workspace);
    ToggleButton title = tab("Rang", "What has rung today", () -> showList(false));
    ToggleButton waiting =
        tab("Imbalances", "What the auctions of open and close cannot pair", () -> showList(true));
    ToggleGroup tabs = new ToggleGroup();
    title.setToggleGroup(tabs);
    waiting.setToggleGroup(tabs);
    title.setSelected(true);
    count.getStyleClass().addAll("faded", "small");
    count.setMinWidth(0);
    quiet =
        SmallButton.of(
            "Quiet",
            "Only halts and what you hold ring until the next phase of the day (Q)",
            this::turnQuiet);
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    HBox head =
        new HBox(
            8,
            title,
            waiting,
            count,
            space,
            quiet,
            SmallButton.of("Looked through", "What rang so far has been seen", this::looked));
    head.getStyleClass().addAll("part", "divided-above");
    head.setAlignment(Pos.CENTER_LEFT);
    setTop(head);
    setCenter(table);
    table.columns(columns());
    table.strength(ring -> ring.event().at() > lookedUntil ? 1 : 0.6);
    table.emptyText("Nothing has rung yet: hits on what you watch ring, and halts.");
    table.onTold(workspace.action()::set);
    table.onSelect(ring -> workspace.focusOn(ring.event().symbol()));
    table.theme(workspace.theme().get());
    workspace.theme().addListener((o, was, is) -> table.theme(is));
    workspace.alerts().rang().addListener((o, was, is) -> show(is));
    workspace.alerts().silences().addListener((o, was, is) -> showQuiet());
    show(workspace.alerts().rang().get());
  }

  private static ToggleButton tab(String words, String help, Runnable show) {
    ToggleButton tab = new ToggleButton(words);
    tab.getStyleClass().setAll("toggle-button", "small-button");
    tab.setTooltip(new Tooltip(help));
    tab.setFocusTraversable(false);
    tab.setMinWidth(USE_PREF_SIZE);
    tab.setOnAction(
        e -> {
          tab.setSelected(true);
          show.run();
        });
    return tab;
  }

  private void showList(boolean ofImbalances) {
    setCenter(ofImbalances ? imbalances : table);
    imbalances.follow(ofImbalances && seen);
  }

  /** It is seen from now on, or no longer. */
  void seen(boolean now) {
    seen = now;
    imbalances.follow(now && getCenter() == imbalances);
  }

  private static List<GridColumn<Ring>> columns() {
    return List.of(
        GridColumn.<Ring>words(
                "time", "When it rang.", 70, ring -> DayTime.seconds(ring.event().at()))
            .growing(0),
        GridColumn.symbols(ring -> ring.event().symbol()),
        GridColumn.<Ring>words(
                "what",
                "What happened, and whether it was the first of its kind on the symbol today.",
                160,
                ring -> ring.event().words() + (ring.isFirst() ? ", first today" : ""))
            .growing(3)
            .toned(ring -> ring.event().source().isEmpty() ? Tone.HALT : Tone.INK),
        GridColumn.numbers(
            "price $",
            "At that moment.",
            56,
            ring -> ring.event().price() == Price.NONE ? "" : Price.text(ring.event().price())),
        GridColumn.words("why it rang", "Whom it concerns, and the scan.", 110, RangPanel::why));
  }

  private static String why(Ring ring) {
    String who =
        switch (ring.rank()) {
          case HALT_OF_MINE -> "watched";
          case HELD -> "held";
          case WATCHED -> "watched";
          case HALT_ELSEWHERE -> "any halt";
          case SCAN -> "any symbol";
        };
    return ring.event().source().isEmpty() ? who : who + ", " + ring.event().source();
  }

  private void show(RangView.Rang rang) {
    if (rang.moment() < lookedUntil) {
      lookedUntil = rang.moment();
    }
    table.rows(rang.rings());
    long fresh = rang.rings().stream().filter(ring -> ring.event().at() > lookedUntil).count();
    count.setText(
        fresh
            + " since you last looked, "
            + rang.rings().size()
            + " today, "
            + rang.heldBack()
            + " held back");
    showQuiet();
  }

  private void showQuiet() {
    long until = workspace.alerts().quietUntil();
    quiet.setText(until > 0 ? "Quiet until " + DayTime.minutes(until) : "Quiet");
  }

  /** Quiet until the next phase, or no longer. */
  void turnQuiet() {
    if (workspace.alerts().quietUntil() > 0) {
      workspace.alerts().notQuiet();
      return;
    }
    Phase phase = workspace.session().phases().at(workspace.now());
    workspace.alerts().quietUntil(phase.end());
  }

  private void looked() {
    lookedUntil = workspace.now();
    show(workspace.alerts().rang().get());
  }
}
