package kelvo.desktop.shell;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.session.KnownEvent;
import kelvo.state.MarketBreadth;
import kelvo.time.DayTime;
import kelvo.view.BreadthView;
import org.jspecify.annotations.Nullable;

/** The date, the day rail, the clock with its controls, and the breadth of the market. */
final class TopBar extends HBox {
  /** Where the breadth of the market stands, for lookups. */
  static final String BREADTH = "#breadth";

  private static final double[] SPEEDS = {1, 10, 60, 600};
  private static final long SOON = 5 * DayTime.MINUTE;
  private static final long NOBODY_WARNED = -1;
  private static final double DATE_WIDTH = 150;
  private static final double CLOCK_WIDTH = 340;

  private final Workspace workspace;
  private final Label clock = new Label();
  private final Tooltip phase = new Tooltip();
  private final Label market = new Label();
  private final Label next = new Label();
  private final ToggleButton play = new ToggleButton("Play");
  private final Button faster = new Button("60x");
  private final Followed<MarketBreadth> followed;
  private final SessionCalendar sessions;
  private @Nullable MarketBreadth breadth;
  private int speed = 2;
  private long warnedOf = NOBODY_WARNED;
  private String warning = "";

  TopBar(Workspace workspace) {
    super(12);
    this.workspace = workspace;
    sessions = new SessionCalendar(workspace);
    getStyleClass().add("rail");
    setMinHeight(72);
    setMaxHeight(72);
    setAlignment(Pos.CENTER_LEFT);
    DayRail rail = new DayRail(workspace);
    HBox.setHgrow(rail, Priority.ALWAYS);
    getChildren().addAll(date(), rail, clock());
    workspace.clock().shown().addListener((o, was, is) -> show());
    followed =
        new Followed<>(
            workspace.clock(),
            newest -> {
              breadth = newest;
              showBreadth(newest);
            });
    followed.follow(new BreadthView());
    plays(workspace.clock().speed().get() > 0);
    workspace.clock().speed().addListener((o, was, is) -> plays(is.doubleValue() > 0));
  }

  private void plays(boolean playing) {
    play.setSelected(playing);
    play.setText(workspace.feed() != null ? "At now" : playing ? "Pause" : "Play");
  }

  private VBox date() {
    var hours = workspace.session().hours();
    Label date =
        new Label(hours.date().format(DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH)));
    date.getStyleClass().add("clock");
    Label kind = new Label(hours.date().getYear() + " · " + hours.kind().words());
    kind.getStyleClass().addAll("faded", "small");
    VBox box = new VBox(2, date, kind, new FeedState(workspace), new LossState(workspace));
    box.setMinWidth(DATE_WIDTH);
    box.setMaxWidth(DATE_WIDTH);
    box.setAlignment(Pos.CENTER_LEFT);
    date.setId("session-date");
    date.setTooltip(new Tooltip("The calendar of sessions (Ctrl+O)"));
    date.setOnMouseClicked(e -> offerSessions());
    kind.setOnMouseClicked(e -> offerSessions());
    return box;
  }

  private VBox clock() {
    clock.getStyleClass().add("symbol");
    clock.setMinWidth(USE_PREF_SIZE);
    clock.setTooltip(phase);
    play.getStyleClass().setAll("toggle-button", "small-button");
    faster.getStyleClass().setAll("button", "small-button");
    play.setFocusTraversable(false);
    faster.setFocusTraversable(false);
    play.setTooltip(
        new Tooltip(
            workspace.feed() == null
                ? "Play or pause the day (P)"
                : "Stay at now while the session goes on, or stand still (P)"));
    faster.setVisible(workspace.feed() == null);
    faster.setManaged(workspace.feed() == null);
    faster.setTooltip(new Tooltip("Times the speed of the day; click for the next"));
    play.setOnAction(e -> togglePlay());
    faster.setOnAction(e -> nextSpeed());
    HBox line = new HBox(6, play, faster, new SoundState(workspace), clock);
    HBox.setMargin(clock, new Insets(0, 0, 0, 8));
    line.setAlignment(Pos.CENTER_RIGHT);
    market.getStyleClass().addAll("faded", "small");
    market.setMinWidth(USE_PREF_SIZE);
    market.setTooltip(
        new Tooltip(
            "Share of common stocks above yesterday's close; how many moved over 10% (and the median of 20 sessions); the benchmarks."));
    next.getStyleClass().addAll("faded", "small");
    HBox breadthLine = new HBox(market, next);
    breadthLine.setAlignment(Pos.CENTER_RIGHT);
    breadthLine.setId(BREADTH.substring(1));
    breadthLine.setOnMouseClicked(e -> showParts());
    VBox box = new VBox(2, line, breadthLine);
    box.setMinWidth(CLOCK_WIDTH);
    box.setMaxWidth(CLOCK_WIDTH);
    box.setAlignment(Pos.CENTER_RIGHT);
    return box;
  }

  /** The breadth with all its parts, under the clock; a click anywhere closes it. */
  private void showParts() {
    MarketBreadth shown = breadth;
    if (shown != null) {
      BreadthParts.show(this, workspace, shown);
    }
  }

  /** Offers the sessions of the folder, to open one. */
  void offerSessions() {
    sessions.show(this);
  }

  /** Plays or pauses. */
  void togglePlay() {
    workspace.clock().play(workspace.clock().speed().get() > 0 ? 0 : SPEEDS[speed]);
  }

  private void nextSpeed() {
    speed = (speed + 1) % SPEEDS.length;
    faster.setText((int) SPEEDS[speed] + "x");
    if (workspace.clock().speed().get() > 0) {
      workspace.clock().play(SPEEDS[speed]);
    }
  }

  /** The speed at which it plays, or would. */
  double speed() {
    return SPEEDS[speed];
  }

  /** Chooses one of the speeds without playing; another one is left out. */
  void chooseSpeed(double times) {
    for (int i = 0; i < SPEEDS.length; i++) {
      if (SPEEDS[i] == times) {
        speed = i;
        faster.setText((int) times + "x");
      }
    }
  }

  /** Starts with another speed. */
  void startAt(double times) {
    faster.setText((int) times + "x");
    workspace.clock().play(times);
  }

  private void show() {
    clock.setText(DayTime.seconds(workspace.clock().now()));
    phase.setText(workspace.session().phases().at(workspace.clock().now()).name());
  }

  private void showBreadth(MarketBreadth newest) {
    market.setText(words(newest));
    showNext(newest.next(), workspace.clock().now());
  }

  /** The next event of the whole market; from five minutes before it stands out. */
  private void showNext(@Nullable KnownEvent event, long now) {
    boolean soon = event != null && event.at() - now <= SOON;
    if (!soon) {
      takeBackWarning();
    }
    next.getStyleClass().removeAll("faded", "strong", "tone-catalyst");
    next.getStyleClass().addAll(soon ? List.of("strong", "tone-catalyst") : List.of("faded"));
    if (event == null) {
      next.setText("");
      next.setTooltip(null);
      return;
    }
    long minutes = (event.at() - now + DayTime.MINUTE - 1) / DayTime.MINUTE;
    next.setText(
        " · "
            + (soon
                ? "in " + minutes + " min: " + event.title()
                : DayTime.minutes(event.at()) + " " + event.title()));
    next.setTooltip(new Tooltip(DayTime.minutes(event.at()) + " " + event.title()));
    if (soon && warnedOf != event.at()) {
      takeBackWarning();
      warnedOf = event.at();
      warning = "At " + DayTime.minutes(event.at()) + ": " + event.title();
      workspace.window().action().set(warning);
      workspace.alerts().warn(event);
    }
  }

  /** What was warned of has come, or is far off again. */
  private void takeBackWarning() {
    warnedOf = NOBODY_WARNED;
    if (!warning.isEmpty() && warning.equals(workspace.window().action().get())) {
      workspace.window().action().set("");
    }
    warning = "";
  }

  private static String words(MarketBreadth breadth) {
    StringBuilder words = new StringBuilder();
    words.append(
        Double.isNaN(breadth.shareUp()) ? "No prices yet" : Math.round(breadth.shareUp()) + "% up");
    words.append(" · ").append(breadth.movers()).append(" movers");
    if (!Double.isNaN(breadth.usualMovers())) {
      words.append(" (usual ").append(Numbers.fixed(breadth.usualMovers(), 0)).append(")");
    }
    return words.toString();
  }
}
