package kelvo.level;

import java.util.Arrays;
import java.util.List;
import java.util.function.ObjIntConsumer;
import kelvo.session.Session;
import kelvo.state.SlidingSpan;
import kelvo.state.SymbolState;
import kelvo.level.Level;
import kelvo.level.LevelKind;

/** Watches prices against levels. Stop levels are for measuring risk and never alert. */
public final class LevelWatch {
  private static final int[] NONE = {};

  private final List<Level> levels;
  private final LevelProgress[] progresses;
  private final int[][] ofSecurity;
  private final boolean[] watched;
  private long priceBefore;
  private long priceBeforeAt;

  public LevelWatch(List<Level> levels, Session session) {
    this.levels = levels;
    progresses = new LevelProgress[levels.size()];
    ofSecurity = new int[session.securities().size()][];
    Arrays.fill(ofSecurity, NONE);
    watched = new boolean[ofSecurity.length];
    for (int i = 0; i < progresses.length; i++) {
      progresses[i] = new LevelProgress();
      int place = i;
      if (levels.get(i).kind() != LevelKind.STOP) {
        session.numberOf(levels.get(i).symbol()).ifPresent(n -> watch(n, place));
      }
    }
  }

  private void watch(int security, int place) {
    watched[security] = true;
    ofSecurity[security] = append(ofSecurity[security], place);
  }

  private static int[] append(int[] places, int place) {
    int[] longer = Arrays.copyOf(places, places.length + 1);
    longer[longer.length - 1] = place;
    return longer;
  }

  /** Notes the price of a security before its next event, if it has a level. */
  public void before(SymbolState state) {
    if (watched[state.id()]) {
      priceBefore = state.price();
      priceBeforeAt = state.priceAt();
    }
  }

  /**
   * Takes a changed price of a security of which the one before was noted, and reports each of its
   * levels with what was done to it, {@link LevelProgress}.
   */
  public void next(SymbolState state, long now, ObjIntConsumer<Level> done) {
    if (!watched[state.id()]) {
      return;
    }
    long lastMinute = state.shares(SlidingSpan.ONE_MINUTE, now);
    for (int place : ofSecurity[state.id()]) {
      Level level = levels.get(place);
      if (level.standsAt(now)) {
        LevelProgress progress = progresses[place];
        long price = level.priceAt(now);
        if (priceBefore > 0) {
          progress.prime(priceBefore, level.priceAt(Math.max(level.setAt(), priceBeforeAt)));
        }
        int did = progress.next(state.price(), price, now, lastMinute);
        if (did != 0) {
          done.accept(level, did);
        }
      }
    }
  }

  public LevelProgress[] memory() {
    return Arrays.stream(progresses).map(LevelProgress::copy).toArray(LevelProgress[]::new);
  }

  /** Takes over what a checkpoint remembers; levels set since then begin anew. */
  public void restore(LevelProgress[] then) {
    for (int i = 0; i < progresses.length; i++) {
      progresses[i].copyFrom(i < then.length ? then[i] : new LevelProgress());
    }
  }
}
