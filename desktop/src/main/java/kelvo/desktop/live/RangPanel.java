package kelvo.desktop.live;

import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.workspace.Presence;
import kelvo.desktop.workspace.Workspace;
import kelvo.time.DayTime;
import kelvo.time.Phase;
import kelvo.view.RangLine;
import kelvo.view.RangView;
import org.jspecify.annotations.Nullable;

/**
 * What has rung today, the newest first, with what followed; what rang while one was away; the
 * trader's alerts; and imbalances.
 */
final class RangPanel extends BorderPane {
  private enum Shown {
    RANG,
    AWAY,
    ALERTS,
    IMBALANCES
  }

  private static final double ROOM = 120;
  private static final double ROOM_FOR_ALERTS = 230;

  private final Workspace workspace;
  private final Grid<RangLine> table = new Grid<>("Rang", RangPanel::keyOf);
  private final AlertList alerts;
  private final ImbalanceList imbalances;
  private final Label count = new Label();
  private final Map<Shown, ToggleButton> tabs = new EnumMap<>(Shown.class);
  private final Button quiet;
  private final Set<RangLine.More> opened = new HashSet<>();
  private Shown shown = Shown.RANG;
  private long lookedUntil;
  private boolean seen;

  RangPanel(Workspace workspace) {
    this.workspace = workspace;
    setId("rang");
    lookedUntil = workspace.clock().now();
    getStyleClass().add("card");
    imbalances = new ImbalanceList(workspace);
    alerts = new AlertList(workspace);
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
            tab(Shown.RANG, "Rang", "What has rung today"),
            tab(Shown.AWAY, "While away", "What rang while nobody was here, the strongest first"),
            tab(Shown.ALERTS, "Alerts", "Your alerts, how they stand and what they did (E)"),
            tab(Shown.IMBALANCES, "Imbalances", "What the auctions of open and close cannot pair"),
            count,
            space,
            quiet,
            SmallButton.of("Looked through", "What rang so far has been seen", this::looked));
    head.getStyleClass().addAll("part", "divided-above");
    head.setAlignment(Pos.CENTER_LEFT);
    setTop(head);
    table.columns(RangColumns.ALL);
    table.strength(line -> line.at() > lookedUntil ? 1 : 0.6);
    table.onTold(workspace.window().action()::set);
    table.onSelect(this::choose);
    table.theme(workspace.window().theme().get());
    workspace.window().theme().addListener((o, was, is) -> table.theme(is));
    workspace.alerts().rang().addListener((o, was, is) -> show(is));
    workspace.alerts().silences().addListener((o, was, is) -> showQuiet());
    workspace.presence().away().addListener((o, was, is) -> cameBack(is));
    choose(Shown.RANG);
    cameBack(workspace.presence().away().get());
  }

  /** Only a line of one ring has a place of its own; the others are named by what they sum up. */
  private static Object keyOf(RangLine line) {
    return switch (line) {
      case RangLine.More more -> more.scan() + more.since();
      case RangLine.Symbol symbol -> RangColumns.symbol(symbol);
      case RangLine.One one -> one.rung().ring().event();
      case RangLine.HeldBack held -> held.ring().event();
    };
  }

  private ToggleButton tab(Shown kind, String words, String help) {
    ToggleButton tab = new ToggleButton(words);
    tab.getStyleClass().setAll("toggle-button", "small-button");
    tab.setTooltip(new Tooltip(help));
    tab.setFocusTraversable(false);
    tab.setMinWidth(USE_PREF_SIZE);
    tab.setOnAction(e -> choose(kind));
    tabs.put(kind, tab);
    return tab;
  }

  private void choose(Shown kind) {
    shown = kind;
    setMinHeight(kind == Shown.ALERTS ? ROOM_FOR_ALERTS : ROOM);
    tabs.forEach((each, tab) -> tab.setSelected(each == kind));
    setCenter(
        switch (kind) {
          case RANG, AWAY -> table;
          case ALERTS -> alerts;
          case IMBALANCES -> imbalances;
        });
    imbalances.follow(kind == Shown.IMBALANCES && seen);
    table.emptyText(
        kind == Shown.AWAY
            ? "Nothing rang while nobody was here."
            : "Nothing has rung yet: hits on what you watch ring, your alerts, and halts.");
    table.otherRows(lines(workspace.alerts().rang().get()));
    show(workspace.alerts().rang().get());
  }

  /** Who comes back sees first what rang meanwhile. */
  private void cameBack(Presence.@Nullable Away away) {
    ToggleButton tab = Objects.requireNonNull(tabs.get(Shown.AWAY));
    tab.setVisible(away != null);
    tab.setManaged(away != null);
    if (away != null) {
      tab.setText("While away, from " + DayTime.minutes(away.from()));
      choose(Shown.AWAY);
    } else if (shown == Shown.AWAY) {
      choose(Shown.RANG);
    }
  }

  /** Begins an alert about the symbol in focus. */
  void beginAlert() {
    String symbol = workspace.focus().symbol().get();
    beginAlert(symbol.isEmpty() ? "" : symbol + " ");
  }

  /** Begins an alert with some words. */
  void beginAlert(String words) {
    choose(Shown.ALERTS);
    alerts.begin(words);
  }

  /** It is seen from now on, or no longer. */
  void seen(boolean now) {
    seen = now;
    imbalances.follow(now && shown == Shown.IMBALANCES);
  }

  private void choose(RangLine line) {
    if (line instanceof RangLine.More more) {
      boolean wasOpen = opened.removeIf(o -> keyOf(o).equals(keyOf(more)));
      if (!wasOpen) {
        opened.add(more);
      }
      show(workspace.alerts().rang().get());
    } else {
      workspace.focus().on(RangColumns.symbol(line));
    }
  }

  private List<RangLine> lines(RangView.Rang rang) {
    Presence.Away away = workspace.presence().away().get();
    return shown == Shown.AWAY && away != null
        ? RangLine.bySymbol(rang, away.from(), away.until())
        : RangLine.of(rang, opened);
  }

  private void show(RangView.Rang rang) {
    if (rang.moment() < lookedUntil) {
      lookedUntil = rang.moment();
    }
    if (shown == Shown.RANG || shown == Shown.AWAY) {
      table.rows(lines(rang));
    }
    long fresh =
        rang.rings().stream().filter(rung -> rung.ring().event().at() > lookedUntil).count();
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
    Phase phase = workspace.session().phases().at(workspace.clock().now());
    workspace.alerts().quietUntil(phase.end());
  }

  private void looked() {
    lookedUntil = workspace.clock().now();
    workspace.presence().lookedThrough();
    show(workspace.alerts().rang().get());
  }
}
