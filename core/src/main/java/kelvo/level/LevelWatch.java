package kelvo.level;

import java.util.Arrays;
import java.util.List;
import java.util.function.IntFunction;
import java.util.function.ObjIntConsumer;
import kelvo.session.Session;
import kelvo.state.SlidingSpan;
import kelvo.state.SymbolState;

/**
 * Watches prices against levels. Stop levels are for measuring risk and never alert. Owned by one
 * thread.
 */
public final class LevelWatch {
  private static final int[] NONE = {};

  private final List<Level> levels;
  private final LevelProgress[] progresses;
  private final int[][] ofSecurity;

  /** By security, its price after its last event and when that came about. */
  private final long[] priceBefore;

  private final long[] priceBeforeAt;

  /**
   * Levels of a session, watched from a moment on.
   *
   * @param states each security's state at that moment
   */
  public LevelWatch(List<Level> levels, Session session, IntFunction<SymbolState> states) {
    this.levels = levels;
    progresses = new LevelProgress[levels.size()];
    ofSecurity = new int[session.securities().size()][];
    Arrays.fill(ofSecurity, NONE);
    priceBefore = new long[ofSecurity.length];
    priceBeforeAt = new long[ofSecurity.length];
    for (int i = 0; i < progresses.length; i++) {
      progresses[i] = new LevelProgress();
      int place = i;
      if (levels.get(i).kind() != LevelKind.STOP) {
        session
            .numberOf(levels.get(i).symbol())
            .ifPresent(security -> watch(security, place, states.apply(security)));
      }
    }
  }

  private void watch(int security, int place, SymbolState state) {
    ofSecurity[security] = append(ofSecurity[security], place);
    note(state);
  }

  private static int[] append(int[] places, int place) {
    int[] longer = Arrays.copyOf(places, places.length + 1);
    longer[longer.length - 1] = place;
    return longer;
  }

  /** Whether a security has a level. */
  public boolean watches(SymbolState state) {
    return ofSecurity[state.id()] != NONE;
  }

  /** Notes the price of a security after an event of it, for its next one. */
  public void note(SymbolState state) {
    priceBefore[state.id()] = state.price();
    priceBeforeAt[state.id()] = state.priceAt();
  }

  /**
   * Takes a changed price of a security whose price before was noted, and reports each of its
   * levels with what was done to it, {@link LevelProgress}.
   */
  public void next(SymbolState state, long now, ObjIntConsumer<Level> done) {
    long lastMinute = state.shares(SlidingSpan.ONE_MINUTE, now);
    long before = priceBefore[state.id()];
    for (int place : ofSecurity[state.id()]) {
      Level level = levels.get(place);
      if (level.standsAt(now)) {
        LevelProgress progress = progresses[place];
        if (before > 0) {
          long at = Math.max(level.setAt(), priceBeforeAt[state.id()]);
          progress.prime(before, level.priceAt(at));
        }
        int did = progress.next(state.price(), level.priceAt(now), now, lastMinute);
        if (did != 0) {
          done.accept(level, did);
        }
      }
    }
  }
}
