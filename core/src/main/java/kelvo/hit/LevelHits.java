package kelvo.hit;

import java.util.List;
import java.util.function.BiConsumer;
import kelvo.level.Level;
import kelvo.level.LevelProgress;
import kelvo.level.LevelWatch;
import kelvo.replay.TapeListener;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.trigger.Trigger;
import org.jspecify.annotations.Nullable;

/**
 * The hits of levels, and of the scans that wait for one. Each level stands for itself: its hits
 * are the same whatever other levels there are, so that a level set later is replayed alone. Owned
 * by the replay's thread.
 */
public final class LevelHits implements TapeListener {
  /** The scan's name on hits that come from levels. */
  public static final String LEVELS = "levels";

  private final Phases phases;
  private final LevelWatch levels;

  /** Only the scans that wait for levels, so that a replay for one level prepares no others. */
  private final ScanBoard board;

  private final HitMaker hits;
  private @Nullable Level current;
  private int phase;

  /**
   * Watches levels from where a replay stands.
   *
   * @param sink gets each hit and the level that brought it, on the replay's thread
   */
  public LevelHits(TapeReplay replay, Program program, BiConsumer<Level, Hit> sink) {
    Session session = replay.session();
    phases = session.phases();
    levels = new LevelWatch(program.levels(), session, replay::state);
    List<Scan> waiting =
        program.scans().stream()
            .filter(scan -> scan.triggers().stream().anyMatch(Trigger::isOfLevel))
            .toList();
    board = new ScanBoard(waiting, session);
    hits =
        new HitMaker(
            replay,
            program.scans(),
            hit -> {
              if (current != null) {
                sink.accept(current, hit);
              }
            });
    begin(replay.clock());
  }

  private void begin(long clock) {
    phase = phases.indexAt(clock);
    board.openAt(clock);
  }

  @Override
  public void second(long moment) {
    if (moment % DayTime.MINUTE == 0) {
      begin(moment);
    }
  }

  @Override
  public void applied(SymbolState state, int effects, int event, long now) {
    if (levels.watches(state)) {
      if ((effects & Effect.PRICE) != 0 && now >= DayTime.FIRST) {
        levels.next(state, now, (level, did) -> done(level, state, did, now));
      }
      levels.note(state);
    }
  }

  private void done(Level level, SymbolState state, int did, long now) {
    current = level;
    hit(state, did, LevelProgress.TOUCHED_FROM_BELOW, Trigger.TOUCHES_LEVEL, Side.UP, now);
    hit(state, did, LevelProgress.TOUCHED_FROM_ABOVE, Trigger.TOUCHES_LEVEL, Side.DOWN, now);
    hit(state, did, LevelProgress.ROSE, Trigger.RISES_THROUGH_LEVEL, Side.UP, now);
    hit(state, did, LevelProgress.FELL, Trigger.FALLS_THROUGH_LEVEL, Side.DOWN, now);
    hit(state, did, LevelProgress.RETESTED_FROM_ABOVE, Trigger.RETESTS_LEVEL, Side.UP, now);
    hit(state, did, LevelProgress.RETESTED_FROM_BELOW, Trigger.RETESTS_LEVEL, Side.DOWN, now);
    if ((did & LevelProgress.QUIETLY) != 0) {
      fire(state, Trigger.RETESTS_LEVEL_QUIETLY, now);
    }
  }

  /** A hit of the level itself, and of the scans that wait for it. */
  private void hit(SymbolState state, int did, int bit, Trigger trigger, Side side, long now) {
    if ((did & bit) != 0) {
      hits.make(LEVELS, "", side, state, trigger, now);
      fire(state, trigger, now);
    }
  }

  private void fire(SymbolState state, Trigger trigger, long now) {
    long fitting = board.fitting(state, board.listening(trigger), now, phase);
    for (; fitting != 0; fitting &= fitting - 1) {
      int k = Long.numberOfTrailingZeros(fitting);
      hits.make(board.check(k).scan(), state, trigger, now);
    }
  }
}
