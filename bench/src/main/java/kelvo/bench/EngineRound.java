package kelvo.bench;

import java.util.List;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.time.DayTime;

/**
 * A whole session through the engine with some scans, between two bare passes over the same events,
 * so that all three run under the same conditions. What a session needs before its first event is
 * made beforehand. Owned by one thread.
 */
final class EngineRound {
  private final Session session;
  private final ScanSet set;
  private final BarePass before;
  private final BarePass after;
  private final TapeReplay replay;
  private int hits;

  EngineRound(Session session, ScanSet set) {
    this.session = session;
    this.set = set;
    before = new BarePass(session.securities().size());
    after = new BarePass(session.securities().size());
    replay = ScanEngine.replay(session, new Program(set.scans(), List.of()), h -> hits++);
    if (set == ScanSet.NONE) {
      replay.listen(null);
    }
  }

  /**
   * What a round took.
   *
   * @param bareMs the mean of the two bare passes, ms
   * @param engineMs the pass through the scans, ms
   * @param check depends on all that was computed, so that nothing is optimised away
   */
  record Times(ScanSet set, double bareMs, double engineMs, int hits, long check) {
    /** The engine's rate over that of the bare passes around it. */
    double rate() {
      return bareMs / engineMs;
    }
  }

  /** Plays it; once. */
  Times play() {
    long[] sums = new long[2];
    double bareBefore = Timed.ms(() -> sums[0] = before.run(session));
    double engine = Timed.ms(() -> replay.runTo(DayTime.LAST));
    double bareAfter = Timed.ms(() -> sums[1] = after.run(session));
    return new Times(set, (bareBefore + bareAfter) / 2, engine, hits, sums[0] + sums[1]);
  }
}
