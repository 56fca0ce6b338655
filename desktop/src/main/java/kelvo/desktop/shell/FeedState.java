package kelvo.desktop.shell;

import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.util.Duration;
import kelvo.data.feed.FeedClient;
import kelvo.data.feed.LiveFeed;
import kelvo.desktop.workspace.Workspace;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * Says in the header, loudly and as long as it lasts, that what stands on screen is not the market
 * of now: no feed, or nothing written down. Empty otherwise.
 */
final class FeedState extends Label {
  private static final Duration ASKED_EVERY = Duration.millis(250);

  private final Workspace workspace;
  private @Nullable Long lostAt;

  FeedState(Workspace workspace) {
    this.workspace = workspace;
    getStyleClass().addAll("pill", "loud");
    managedProperty().bind(textProperty().isNotEmpty());
    visibleProperty().bind(managedProperty());
    if (workspace.feed() != null) {
      Timeline asking = new Timeline(new KeyFrame(ASKED_EVERY, e -> ask(workspace.feed())));
      asking.setCycleCount(Animation.INDEFINITE);
      asking.play();
      workspace.onClose(asking::stop);
    }
  }

  private void ask(@Nullable LiveFeed feed) {
    if (feed == null) {
      return;
    }
    LiveFeed.Status status = feed.status();
    boolean fresh = status.connection() == FeedClient.Status.LIVE;
    lostAt = fresh ? null : lostAt == null ? Long.valueOf(workspace.now()) : lostAt;
    Long since = lostAt;
    say(
        since != null
            ? "Feed lost since " + DayTime.seconds(since)
            : status.notRecorded().isEmpty() ? "" : "Not recorded",
        fresh ? status.notRecorded() : status.why());
  }

  private void say(String words, String more) {
    if (!words.equals(getText())) {
      setText(words);
    }
    setTooltip(more.isEmpty() ? null : new Tooltip(more));
  }
}
