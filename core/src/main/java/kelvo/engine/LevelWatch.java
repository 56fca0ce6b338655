package kelvo.engine;

import java.util.Arrays;
import java.util.List;
import java.util.function.ObjIntConsumer;
import kelvo.market.Crossing;
import kelvo.market.Session;
import kelvo.market.SymbolState;
import kelvo.watch.Level;
import kelvo.watch.LevelKind;

/** Watches prices against levels. Stop levels are for measuring risk and never alert. */
final class LevelWatch {
  private static final int[] NONE = {};

  private final List<Level> levels;
  private final Crossing[] crossings;
  private final int[][] ofSecurity;
  private final boolean[] watched;

  LevelWatch(List<Level> levels, Session session) {
    this.levels = levels;
    crossings = new Crossing[levels.size()];
    ofSecurity = new int[session.securities().size()][];
    Arrays.fill(ofSecurity, NONE);
    watched = new boolean[ofSecurity.length];
    for (int i = 0; i < crossings.length; i++) {
      crossings[i] = new Crossing();
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

  /** Whether a security has a level at some time of the day. */
  boolean watches(int security) {
    return crossings.length > 0 && watched[security];
  }

  /** Takes a changed price and reports each level passed with {@link Crossing#ROSE} or FELL. */
  void next(SymbolState state, long priceBefore, long now, ObjIntConsumer<Level> passed) {
    for (int place : ofSecurity[state.id()]) {
      Level level = levels.get(place);
      if (level.standsAt(now)) {
        Crossing crossing = crossings[place];
        if (priceBefore > 0) {
          crossing.prime(priceBefore, level.price());
        }
        int way = crossing.next(state.price(), level.price(), now);
        if (way != Crossing.NONE) {
          passed.accept(level, way);
        }
      }
    }
  }

  Crossing[] copyOfCrossings() {
    Crossing[] copies = new Crossing[crossings.length];
    for (int i = 0; i < copies.length; i++) {
      copies[i] = new Crossing();
      copies[i].copyFrom(crossings[i]);
    }
    return copies;
  }

  /** Takes over the crossings of a checkpoint; levels set since then begin anew. */
  void restore(Crossing[] then) {
    for (int i = 0; i < crossings.length; i++) {
      crossings[i].copyFrom(i < then.length ? then[i] : new Crossing());
    }
  }
}
