package kelvo.scan;

import java.util.List;
import kelvo.field.Field;
import kelvo.market.Session;
import kelvo.market.SymbolState;
import kelvo.trigger.Trigger;

/**
 * Which securities are inside which scans, kept up to date event by event. Scans are bits of a
 * long. For each security and scan the board remembers the rule that failed last and asks it first:
 * most securities fail the same rule for a long time. Owned by one thread.
 */
public final class ScanBoard {
  /** The most scans that can run at once. */
  public static final int MOST = Long.SIZE;

  private static final int ROW = 4;
  private static final int ELIGIBLE = 0;
  private static final int INSIDE = 1;
  private static final int AWAITING = 2;
  private static final int ASLEEP = 3;

  private final ScanCheck[] checks;
  private final byte[] blockers;

  /** Four sets of scans a security, side by side so that asking touches one line of memory. */
  private final long[] rows;

  private final long[] byTrigger = new long[Trigger.values().length];
  private final long edges;
  private final long windowed;
  private final long timed;
  private final long quoted;
  private long open;

  /** A board before the first event. */
  public ScanBoard(List<Scan> scans, Session session) {
    if (scans.size() > MOST) {
      throw new IllegalArgumentException(
          "at most " + MOST + " scans run at once, found " + scans.size());
    }
    int securities = session.securities().size();
    checks = scans.stream().map(scan -> new ScanCheck(scan, session)).toArray(ScanCheck[]::new);
    rows = new long[securities * ROW];
    blockers = new byte[securities * checks.length];
    for (int k = 0; k < checks.length; k++) {
      for (int i = 0; i < securities; i++) {
        rows[i * ROW + ELIGIBLE] |= checks[k].eligible(i) ? 1L << k : 0;
      }
      for (Trigger trigger : checks[k].scan().triggers()) {
        byTrigger[trigger.ordinal()] |= 1L << k;
      }
    }
    edges = byTrigger[Trigger.ENTERS.ordinal()] | byTrigger[Trigger.LEAVES.ordinal()];
    windowed = dependingOn(Field.Pace.WINDOW) & edges;
    timed = dependingOn(Field.Pace.MINUTES) & edges;
    quoted = dependingOn(Field.Pace.QUOTES) & edges;
  }

  private long dependingOn(Field.Pace pace) {
    long mask = 0;
    for (int k = 0; k < checks.length; k++) {
      mask |= checks[k].dependsOn(pace) ? 1L << k : 0;
    }
    return mask;
  }

  /** The scans, in the order of their bits. */
  public ScanCheck check(int scan) {
    return checks[scan];
  }

  /** The number of scans. */
  public int size() {
    return checks.length;
  }

  /** The scans whose entering and leaving is watched. */
  public long edges() {
    return edges;
  }

  /** Those among them whose answer changes when a sliding window runs out. */
  public long windowed() {
    return windowed;
  }

  /** Those among them whose answer changes with the minutes. */
  public long timed() {
    return timed;
  }

  /**
   * Those among them to ask after a quote of a security that has traded: scans that look at the
   * quote, and those whose answer may have changed because time has passed since its last event.
   */
  public long afterQuote(int security) {
    return quoted | rows[security * ROW + AWAITING] | timed & ~rows[security * ROW + ASLEEP];
  }

  /** The scans that listen to a trigger. */
  public long listening(Trigger trigger) {
    return byTrigger[trigger.ordinal()];
  }

  /**
   * Opens and closes the windows of a moment. Securities leave a window that closes without a word.
   *
   * @return whether a window has opened
   */
  public boolean openAt(long moment) {
    long before = open;
    open = 0;
    for (int k = 0; k < checks.length; k++) {
      open |= checks[k].scan().open(moment) ? 1L << k : 0;
    }
    if ((before & ~open) != 0) {
      for (int row = 0; row < rows.length; row += ROW) {
        rows[row + INSIDE] &= open;
      }
    }
    return (open & ~before) != 0;
  }

  /**
   * Asks the given scans again about a security.
   *
   * @return the scans that it entered or left; {@link #isInside} tells which
   */
  public long update(SymbolState state, long scans, long now, int phase) {
    int id = state.id();
    int row = id * ROW;
    long todo = scans & open & rows[row + ELIGIBLE] & ~rows[row + ASLEEP];
    if (todo == 0) {
      return 0;
    }
    long before = rows[row + INSIDE];
    long after = before & ~todo;
    long waits = rows[row + AWAITING] & ~todo;
    while (todo != 0) {
      int k = Long.numberOfTrailingZeros(todo);
      todo &= todo - 1;
      if (holds(k, state, now, phase)) {
        after |= 1L << k;
        waits |= 1L << k;
      } else {
        int blocker = blockers[id * checks.length + k] - 1;
        waits |= checks[k].isWindowed(blocker) ? 1L << k : 0;
        rows[row + ASLEEP] |= state.newsItems() == 0 && checks[k].isTimed(blocker) ? 1L << k : 0;
      }
    }
    rows[row + INSIDE] = after;
    rows[row + AWAITING] = waits & windowed;
    return before ^ after;
  }

  /**
   * Asks all scans about a security again at its next event. A scan that a rule on the minutes
   * since news keeps shut sleeps while there is no news, since nothing else can open it.
   */
  public void wake(int security) {
    rows[security * ROW + ASLEEP] = 0;
  }

  /**
   * Whether a sliding window that runs out could change an answer about a security: it is inside a
   * scan that depends on one, or kept out by a rule that does. Any other rule that keeps it out
   * goes on doing so until its next event.
   */
  public boolean awaitsWindow(int security) {
    return rows[security * ROW + AWAITING] != 0;
  }

  /** Those of the given scans whose rules a security fits now, in an open window. */
  public long fitting(SymbolState state, long scans, long now, int phase) {
    long todo = scans & open & rows[state.id() * ROW + ELIGIBLE];
    long fitting = 0;
    while (todo != 0) {
      int k = Long.numberOfTrailingZeros(todo);
      todo &= todo - 1;
      fitting |= holds(k, state, now, phase) ? 1L << k : 0;
    }
    return fitting;
  }

  private boolean holds(int scan, SymbolState state, long now, int phase) {
    int place = state.id() * checks.length + scan;
    ScanCheck check = checks[scan];
    int blocker = blockers[place] - 1;
    if (blocker >= 0 && check.fails(blocker, state, now, phase)) {
      return false;
    }
    int failing = check.firstFailing(state, now, phase);
    blockers[place] = (byte) (failing + 1);
    return failing < 0;
  }

  /** Whether a security was inside a scan after the last update. */
  public boolean isInside(int security, int scan) {
    return (rows[security * ROW + INSIDE] >>> scan & 1) != 0;
  }

  /** A copy of who is inside what. */
  public long[] insideCopy() {
    long[] copy = new long[rows.length / ROW];
    for (int i = 0; i < copy.length; i++) {
      copy[i] = rows[i * ROW + INSIDE];
    }
    return copy;
  }

  /** Takes over who is inside what at a moment. */
  public void restore(long[] insideThen, long moment) {
    for (int i = 0; i < insideThen.length; i++) {
      rows[i * ROW + INSIDE] = insideThen[i];
      rows[i * ROW + AWAITING] = windowed;
      rows[i * ROW + ASLEEP] = 0;
    }
    openAt(moment);
  }
}
