package kelvo.data.feed;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import kelvo.data.feed.LiveFeed.Standing;
import org.jspecify.annotations.Nullable;

/**
 * Whether a feed is in step with the market, and the times when it was not. Told on the feed's
 * thread; any thread may ask.
 */
final class FeedStep {
  /**
   * How a feed stands and since when.
   *
   * @param since the last moment told before it fell out of step
   */
  record Now(Standing standing, long since) {}

  private final List<FeedGap> gaps = new CopyOnWriteArrayList<>();
  private volatile Now now = new Now(Standing.CATCHING_UP, 0);
  private FeedGap.@Nullable Kind kind;

  /** The connection is gone, or nothing is heard. */
  void lost(long at) {
    begin(FeedGap.Kind.LOST, Standing.LOST, at);
  }

  /** Frames are missing, which are asked for again. */
  void hole(long at) {
    begin(FeedGap.Kind.HOLE, Standing.HOLE, at);
  }

  private void begin(FeedGap.Kind what, Standing standing, long at) {
    if (kind == null) {
      kind = what;
      now = new Now(standing, at);
    } else if (what == FeedGap.Kind.LOST) {
      now = new Now(standing, now.since());
    }
  }

  /** The feed answers again, beginning with what was missed. */
  void answers(long at) {
    long since = kind == null ? at : now.since();
    now = new Now(Standing.CATCHING_UP, since);
  }

  /** All that the feed has told is there. */
  void inStep(long at) {
    FeedGap.Kind ended = kind;
    if (ended != null) {
      gaps.add(new FeedGap(ended, now.since(), at));
    }
    kind = null;
    now = new Now(Standing.IN_STEP, at);
  }

  /** How it stands. */
  Now now() {
    return now;
  }

  /** The times when it was not in step, oldest first. */
  List<FeedGap> gaps() {
    return gaps;
  }
}
