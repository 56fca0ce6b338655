package kelvo.desktop.shell;

import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.util.Duration;
import kelvo.data.feed.FeedClient;
import kelvo.data.feed.FeedGap;
import kelvo.data.feed.LiveFeed;
import kelvo.desktop.workspace.Workspace;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * Says in the header, loudly and as long as it lasts, that what stands on screen is not the market
 * of now: no feed, frames missing, catching up, late, or nothing written down. For a while
 * afterwards, quietly, that it is mended. Empty otherwise.
 */
final class FeedState extends Label {
  private static final Duration ASKED_EVERY = Duration.millis(250);
  private static final long LATE_NANOS = 2_000_000_000L;
  private static final long MENDED_SHOWN_FOR = 15 * DayTime.SECOND;
  private static final String LOUD = "loud";

  FeedState(Workspace workspace) {
    getStyleClass().addAll("pill", LOUD);
    managedProperty().bind(textProperty().isNotEmpty());
    visibleProperty().bind(managedProperty());
    if (workspace.feed() != null) {
      Timeline asking = new Timeline(new KeyFrame(ASKED_EVERY, e -> ask(workspace.feed())));
      asking.setCycleCount(Animation.INDEFINITE);
      asking.play();
      workspace.end().onClose(asking::stop);
    }
  }

  private void ask(@Nullable LiveFeed feed) {
    if (feed == null) {
      return;
    }
    LiveFeed.Status status = feed.status();
    String since = status.since() == 0 ? "" : " since " + DayTime.seconds(status.since());
    switch (status.standing()) {
      case LOST ->
          say(
              (status.connection() == FeedClient.Status.REFUSED ? "Feed refused" : "Feed lost")
                  + since,
              status.why(),
              true);
      case HOLE ->
          say("Frames missing" + since, "They are asked for again; nothing is lost yet.", true);
      case CATCHING_UP -> catchingUp(status.since(), feed.told());
      case IN_STEP -> inStep(feed, status);
    }
  }

  private void catchingUp(long since, long told) {
    say(
        "Catching up" + (since == 0 ? "" : " from " + DayTime.minutes(since)),
        "The feed tells what was missed"
            + (told == 0 ? "." : "; it has come to " + DayTime.seconds(told) + "."),
        true);
  }

  private void inStep(LiveFeed feed, LiveFeed.Status status) {
    FeedGap last = feed.gaps().isEmpty() ? null : feed.gaps().getLast();
    if (!status.notRecorded().isEmpty()) {
      say("Not recorded", status.notRecorded(), true);
    } else if (status.lagNanos() > LATE_NANOS) {
      say(
          "Late by " + status.lagNanos() / 1_000_000_000L + " s",
          "More comes than is worked off: fewer scans, or a quicker machine, would help.",
          true);
    } else if (last != null && feed.told() - last.until() < MENDED_SHOWN_FOR) {
      say(
          last.kind() == FeedGap.Kind.HOLE ? "Hole repaired" : "Feed is back",
          "All from "
              + DayTime.seconds(last.from())
              + " to "
              + DayTime.seconds(last.until())
              + " is there now.",
          false);
    } else {
      say("", "", true);
    }
  }

  private void say(String words, String more, boolean loud) {
    if (!words.equals(getText())) {
      setText(words);
    }
    getStyleClass().remove(LOUD);
    if (loud) {
      getStyleClass().add(LOUD);
    }
    setTooltip(more.isEmpty() ? null : new Tooltip(more));
  }
}
