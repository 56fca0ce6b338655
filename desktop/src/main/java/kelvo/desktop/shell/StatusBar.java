package kelvo.desktop.shell;

import java.util.List;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.PauseTransition;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.Duration;
import kelvo.data.feed.FeedClient;
import kelvo.data.feed.LiveFeed;
import kelvo.data.folder.FolderLock;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.workspace.Workspace;
import kelvo.setting.SettingCatalogue;
import kelvo.time.DayTime;
import kelvo.view.HitCountsView;

/**
 * The bottom line: where the events come from, how fast, hits a minute, what is saved, what the
 * last key did.
 */
final class StatusBar extends HBox {
  /** How long the corner says what was done. */
  private static final Duration TOLD_FOR = Duration.seconds(12);

  private final Workspace workspace;
  private final Label feed = new Label();
  private final Label hits = new Label();
  private final Label saved = new Label();
  private final Label beside = new Label();
  private final Label action = new Label();
  private final Label troubles = new Label();
  private long lastEvents;
  private long lastAt;
  private String rate = "";

  StatusBar(Workspace workspace, List<String> faults) {
    super(16);
    this.workspace = workspace;
    getStyleClass().add("status-bar");
    setMinHeight(26);
    setMaxHeight(26);
    setAlignment(Pos.CENTER_LEFT);
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    Button theme = new Button("Day or night");
    theme.getStyleClass().setAll("button", "small-button");
    theme.setFocusTraversable(false);
    theme.setOnAction(
        e ->
            workspace
                .settings()
                .set(SettingCatalogue.THEME, workspace.window().theme().get().other().word()));
    theme.setStyle("-fx-min-height: 18px; -fx-padding: 0 8 0 8;");
    List.of(feed, hits, saved, beside, action).forEach(l -> l.getStyleClass().add("small"));
    beside.setId("beside");
    beside.textProperty().bind(workspace.window().beside());
    beside.managedProperty().bind(beside.textProperty().isNotEmpty());
    action.getStyleClass().add("tone-accent");
    getChildren().addAll(feed, hits, saved, beside);
    if (!faults.isEmpty()) {
      Label bad = new Label(faults.size() + " faults: " + faults.getFirst());
      bad.getStyleClass().addAll("small", "tone-bad");
      bad.setMaxWidth(360);
      getChildren().add(bad);
    }
    troubles.getStyleClass().addAll("small", "tone-bad");
    troubles.setId("troubles");
    troubles.setMaxWidth(420);
    troubles.managedProperty().bind(troubles.textProperty().isNotEmpty());
    troubles.setOnMouseClicked(e -> workspace.troubles().seen());
    if (!workspace.isKept()) {
      Label readOnly = new Label("Read-only: " + FolderLock.whyNot(workspace.folder()));
      readOnly.getStyleClass().addAll("small", "tone-bad");
      readOnly.setMinWidth(USE_PREF_SIZE);
      getChildren().add(readOnly);
    }
    getChildren().addAll(troubles, space, action, theme);
    action.textProperty().bind(workspace.window().action());
    PauseTransition over = new PauseTransition(TOLD_FOR);
    over.setOnFinished(e -> action.setVisible(false));
    workspace
        .window()
        .action()
        .addListener(
            (o, was, is) -> {
              action.setVisible(true);
              over.playFromStart();
            });
    workspace.end().onClose(over::stop);
    workspace.clock().shown().addListener((o, was, is) -> show());
    workspace.clock().hitCounts().addListener((o, was, is) -> showHits());
    workspace.troubles().newest().addListener((o, was, is) -> showTroubles(is));
    Timeline saving = new Timeline(new KeyFrame(Duration.millis(250), e -> showSaved()));
    saving.getKeyFrames().add(new KeyFrame(Duration.millis(250), e -> showFeed()));
    saving.setCycleCount(Animation.INDEFINITE);
    saving.play();
    workspace.end().onClose(saving::stop);
  }

  private void show() {
    int events = workspace.clock().shown().get().events();
    long now = System.nanoTime();
    if (now - lastAt > 1_000_000_000L) {
      double seconds = (now - lastAt) / 1e9;
      rate =
          workspace.clock().speed().get() > 0 && events >= lastEvents && lastAt > 0
              ? Math.round((events - lastEvents) / seconds) + " events/s"
              : "paused";
      lastEvents = events;
      lastAt = now;
    }
    if (workspace.feed() == null) {
      feed.setText(
          "Recorded session, "
              + Numbers.whole(events)
              + " events, "
              + (workspace.clock().speed().get() > 0 ? rate : "paused"));
    }
  }

  private void showHits() {
    HitCountsView.HitCounts counts = workspace.clock().hitCounts().get();
    hits.setText(
        counts.all()
            + (counts.all() == 1 ? " hit, " : " hits, ")
            + counts.lastMinute()
            + " in the last minute");
  }

  /** A feed falls silent without a snapshot, so this is asked by a timer. */
  private void showFeed() {
    LiveFeed live = workspace.feed();
    if (live == null) {
      return;
    }
    int events = workspace.clock().shown().get().events();
    LiveFeed.Status status = live.status();
    boolean fresh = status.connection() == FeedClient.Status.LIVE;
    boolean recorded = status.notRecorded().isEmpty();
    String where = workspace.clock().speed().get() > 0 ? rate : "standing still";
    String lag = "lag " + status.lagNanos() / 1_000_000 + " ms";
    String left = status.leftOut() == 0 ? "" : ", " + status.leftOut() + " left out";
    feed.setText(
        !recorded
            ? status.notRecorded()
            : fresh
                ? "Live feed, " + Numbers.whole(events) + " events, " + where + ", " + lag + left
                : "Stale since " + DayTime.seconds(workspace.clock().now()) + ": " + status.why());
    String broker = workspace.dropCopy() == null ? "" : workspace.dropCopy().words();
    String faults = String.join("\n", status.faults());
    String more = (faults + "\n" + status.notRecorded() + "\n" + broker).strip();
    feed.setTooltip(more.isEmpty() ? null : new Tooltip(more));
    feed.getStyleClass().removeAll("tone-bad");
    if (!fresh || !recorded) {
      feed.getStyleClass().add("tone-bad");
    }
  }

  /** The newest trouble; all of them when pointed at, none after a click. */
  private void showTroubles(List<String> newest) {
    troubles.setText(
        newest.isEmpty()
            ? ""
            : newest.size() == 1
                ? newest.getFirst()
                : newest.size() + " troubles: " + newest.getFirst());
    troubles.setTooltip(
        newest.isEmpty()
            ? null
            : new Tooltip(String.join("\n", newest) + "\nClick to put them away."));
  }

  /** Writing goes on while nothing else changes, so this is asked by a timer. */
  private void showSaved() {
    String failure = workspace.ledger().failure();
    long waiting = workspace.ledger().waiting();
    saved.setText(
        !failure.isEmpty()
            ? failure
            : waiting == 0 ? "Ledger saved" : "Ledger saves " + waiting + " more");
    saved.getStyleClass().removeAll("tone-bad");
    if (!failure.isEmpty()) {
      saved.getStyleClass().add("tone-bad");
    }
  }
}
