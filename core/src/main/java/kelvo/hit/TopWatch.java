package kelvo.hit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import kelvo.scan.Scan;
import kelvo.scan.ScanOrder;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.trigger.Trigger;

/**
 * Watches who comes among the first of a scan, in the scan's own order. Whoever stands there is
 * compared once all that one event or one second has changed is known.
 */
final class TopWatch {
  private final ScanBoard board;
  private final SymbolState[] states;
  private final Ranking[] rankings;
  private final long scans;

  TopWatch(List<Scan> all, ScanBoard board, Session session, SymbolState[] states) {
    this.board = board;
    this.states = states;
    List<Ranking> found = new ArrayList<>();
    long mask = 0;
    for (int k = 0; k < all.size(); k++) {
      for (Trigger trigger : all.get(k).triggers()) {
        if (trigger.rank() > 0) {
          found.add(new Ranking(k, trigger, new ScanOrder(all.get(k), session)));
          mask |= 1L << k;
        }
      }
    }
    rankings = found.toArray(Ranking[]::new);
    scans = mask;
  }

  /** Whether any scan asks for it. */
  boolean isAsked() {
    return scans != 0;
  }

  /** Works a security's place out again after an event of it, or after it entered or left. */
  void changed(SymbolState state, long now) {
    for (Ranking ranking : rankings) {
      ranking.place(state, now);
    }
  }

  /** Takes the places of all that time alone may have changed. */
  void timePassed(long now) {
    for (Ranking ranking : rankings) {
      ranking.timePassed(now);
    }
  }

  /** Tells who has come among the first since the last time. */
  void settle(long now, TriggerWatch.Fired fired) {
    for (Ranking ranking : rankings) {
      ranking.settle(now, fired);
    }
  }

  /** One trigger of one scan. */
  private final class Ranking {
    private static final int NOT_YET = -2;

    private final int scan;
    private final Trigger trigger;
    private final ScanOrder scanOrder;

    /** What each security is ordered by; NaN while it is not inside. */
    private final double[] keys = new double[states.length];

    private final TreeSet<Integer> inside;
    private int[] top = {};
    private int order = NOT_YET;
    private boolean dirty;

    Ranking(int scan, Trigger trigger, ScanOrder scanOrder) {
      this.scan = scan;
      this.trigger = trigger;
      this.scanOrder = scanOrder;
      Arrays.fill(keys, Double.NaN);
      inside = new TreeSet<>(scanOrder.comparing(i -> keys[i]));
    }

    void place(SymbolState state, long now) {
      int id = state.id();
      boolean was = !Double.isNaN(keys[id]);
      boolean is = board.isInside(id, scan);
      double key = is ? scanOrder.key(order, state, now) : Double.NaN;
      if ((!was && !is) || key == keys[id]) {
        return;
      }
      if (was) {
        inside.remove(id);
      }
      keys[id] = key;
      if (is) {
        inside.add(id);
      }
      dirty = true;
    }

    void timePassed(long now) {
      int newOrder = scanOrder.at(now);
      if (newOrder == order && !scanOrder.changesWithTime(order) && !closed()) {
        return;
      }
      order = newOrder;
      for (int id : List.copyOf(inside)) {
        place(states[id], now);
      }
    }

    /** Whether the scan's window has closed upon those inside. */
    private boolean closed() {
      return !inside.isEmpty() && !board.isInside(inside.first(), scan);
    }

    void settle(long now, TriggerWatch.Fired fired) {
      if (!dirty) {
        return;
      }
      dirty = false;
      int[] before = top;
      top = inside.stream().limit(trigger.rank()).mapToInt(Integer::intValue).toArray();
      for (int id : top) {
        if (Arrays.stream(before).noneMatch(b -> b == id)) {
          fired.fired(states[id], trigger, 1L << scan, now);
        }
      }
    }
  }
}
