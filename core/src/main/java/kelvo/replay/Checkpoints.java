package kelvo.replay;

import java.util.ArrayList;
import java.util.List;

/**
 * Checkpoints of one session, from which any moment is reached quickly. One thread adds; once all
 * are there, any thread may seek.
 */
public final class Checkpoints {
  private static final int MIN_EVENTS_BETWEEN = 100_000;
  private static final int MAX_CHECKPOINTS = 48;

  private final List<Checkpoint> all;
  private int eventsBetween = MIN_EVENTS_BETWEEN;

  /** Those of a session that is about to be replayed. */
  public Checkpoints(TapeReplay atStart) {
    this(new ArrayList<>(List.of(atStart.checkpoint())));
  }

  private Checkpoints(List<Checkpoint> all) {
    this.all = all;
  }

  /**
   * Takes a checkpoint if it is time for one. When there are too many, every other one goes and the
   * next come rarer.
   */
  public void keep(TapeReplay replay) {
    if (replay.events() < all.getLast().events() + eventsBetween) {
      return;
    }
    all.add(replay.checkpoint());
    if (all.size() > MAX_CHECKPOINTS) {
      for (int i = all.size() - 2; i > 0; i -= 2) {
        all.remove(i);
      }
      eventsBetween *= 2;
    }
  }

  /** Brings a replay of the same session to a moment, from wherever it is. */
  public void seek(TapeReplay replay, long moment) {
    Checkpoint start = before(moment);
    boolean ahead = replay.clock() > moment;
    if (ahead || replay.events() < start.events()) {
      replay.restore(start);
    }
    replay.runTo(moment);
  }

  /** Brings a new replay to a checkpoint at which no event of a moment or later was applied. */
  public void seekBefore(TapeReplay fresh, long moment) {
    fresh.restore(before(moment - 1));
  }

  /** Those that there are now, for another thread. */
  public Checkpoints now() {
    return new Checkpoints(new ArrayList<>(all));
  }

  private Checkpoint before(long moment) {
    Checkpoint found = all.getFirst();
    for (Checkpoint checkpoint : all) {
      if (checkpoint.clock() <= moment) {
        found = checkpoint;
      }
    }
    return found;
  }
}
