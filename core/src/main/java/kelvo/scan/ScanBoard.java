package kelvo.scan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kelvo.field.Field;
import kelvo.market.Session;
import kelvo.market.SlidingSpan;
import kelvo.market.SymbolState;
import kelvo.rule.RuleCheck;
import kelvo.rule.RuleTable;
import kelvo.rule.SharedReadings;
import kelvo.trigger.Trigger;

/**
 * Which securities are inside which scans, kept up to date event by event. Scans are bits of a
 * long. For each security and scan the board remembers the rule that failed last and asks it first:
 * most securities fail the same rule for a long time. Owned by one thread.
 */
public final class ScanBoard {
  /** The most scans that can run at once. */
  public static final int MOST = Long.SIZE;

  private final ScanCheck[] checks;
  private final SharedReadings shared;

  /** The rules of all scans, and where each scan's begin. */
  private final RuleTable table;

  private final int[] firstRule;
  private final byte[] blockers;

  /** The scans whose settled rules let a security through. */
  private final long[] eligible;

  /** Those of them that are awake: the only thing to look at for most events. */
  private final long[] awake;

  private final long[] inside;
  private final long[] awaiting;

  private final Map<Trigger, Long> byTrigger = new HashMap<>();
  private final long edges;
  private final long lastMinute;
  private final long lastFiveMinutes;
  private final long clocked;
  private final long passing;
  private final long timed;

  /** The scans that time alone may open. */
  private final long opening;

  private final long quoted;
  private long open;

  /** The scans that are open and watched for edges. */
  private long asking;

  /** A board before the first event. */
  public ScanBoard(List<Scan> scans, Session session) {
    if (scans.size() > MOST) {
      throw new IllegalArgumentException(
          "at most " + MOST + " scans run at once, found " + scans.size());
    }
    int securities = session.securities().size();
    shared = new SharedReadings(session);
    checks = scans.stream().map(scan -> new ScanCheck(scan, shared)).toArray(ScanCheck[]::new);
    List<RuleCheck> rules = new ArrayList<>();
    firstRule = new int[checks.length + 1];
    for (int k = 0; k < checks.length; k++) {
      rules.addAll(checks[k].live());
      firstRule[k + 1] = rules.size();
    }
    table = new RuleTable(rules, shared);
    eligible = new long[securities];
    inside = new long[securities];
    awaiting = new long[securities];
    blockers = new byte[securities * checks.length];
    for (int k = 0; k < checks.length; k++) {
      for (int i = 0; i < securities; i++) {
        eligible[i] |= checks[k].eligible(i) ? 1L << k : 0;
      }
      for (Trigger trigger : checks[k].scan().triggers()) {
        byTrigger.merge(trigger, 1L << k, (x, y) -> x | y);
      }
    }
    awake = eligible.clone();
    edges = listeningToEdges();
    lastMinute = dependingOn(Field.Pace.LAST_MINUTE) & edges;
    lastFiveMinutes = dependingOn(Field.Pace.LAST_FIVE_MINUTES) & edges;
    clocked = (dependingOn(Field.Pace.CLOCK) | dependingOn(Field.Pace.FALLING)) & edges;
    passing = lastMinute | lastFiveMinutes | clocked;
    timed = dependingOn(Field.Pace.MINUTES) & edges;
    quoted = dependingOn(Field.Pace.QUOTES) & edges;
    opening = openingWithTime() | timed;
  }

  /** The scans that must know at any time who is inside. */
  private long listeningToEdges() {
    long mask = listening(Trigger.ENTERS) | listening(Trigger.LEAVES);
    for (Map.Entry<Trigger, Long> entry : byTrigger.entrySet()) {
      mask |= entry.getKey().rank() > 0 ? entry.getValue() : 0;
    }
    return mask;
  }

  private long openingWithTime() {
    long mask = 0;
    for (int k = 0; k < checks.length; k++) {
      mask |= checks[k].mayOpenWithTime() ? 1L << k : 0;
    }
    return mask;
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

  /** Those among them whose answer may change as time passes without an event. */
  public long passing() {
    return passing;
  }

  /** Those among them whose answer may change at any second. */
  public long clocked() {
    return clocked;
  }

  /** Those among them whose answer may change when a print leaves a sliding window. */
  public long windowed(SlidingSpan span) {
    return span == SlidingSpan.ONE_MINUTE ? lastMinute : lastFiveMinutes;
  }

  /** Those among them whose answer changes with the minutes. */
  public long timed() {
    return timed;
  }

  /** The scans to ask after an event of a security other than a quote. */
  public long dueAfterEvent(int security) {
    return asking & awake[security];
  }

  /**
   * The scans to ask after a quote of a security that has traded: those that look at the quote, and
   * those whose answer may have changed because time has passed since its last event.
   */
  public long dueAfterQuote(int security) {
    long due = asking & awake[security];
    return due == 0 ? 0 : due & (quoted | timed | awaiting[security]);
  }

  /** The scans that listen to a trigger. */
  public long listening(Trigger trigger) {
    return byTrigger.getOrDefault(trigger, 0L);
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
    asking = edges & open;
    if ((before & ~open) != 0) {
      for (int i = 0; i < inside.length; i++) {
        inside[i] &= open;
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
    long todo = scans & open & awake[id];
    if (todo == 0) {
      return 0;
    }
    long before = inside[id];
    long after = before & ~todo;
    long waits = awaiting[id] & ~todo;
    shared.ask();
    table.layFor(phase);
    while (todo != 0) {
      int k = Long.numberOfTrailingZeros(todo);
      todo &= todo - 1;
      if (holds(k, state, now, phase)) {
        after |= 1L << k;
        waits |= 1L << k;
      } else if ((opening >>> k & 1) != 0) {
        int blocker = blockers[id * checks.length + k] - 1;
        waits |= checks[k].mayPassWithTime(blocker) ? 1L << k : 0;
        awake[id] &= checks[k].isTimed(blocker) && state.newsItems() == 0 ? ~(1L << k) : -1L;
      }
    }
    inside[id] = after;
    awaiting[id] = waits & passing;
    return before ^ after;
  }

  /**
   * Asks all scans about a security again at its next event. A scan that a rule on the minutes
   * since news keeps shut sleeps while there is no news, since nothing else can open it.
   */
  public void wake(int security) {
    awake[security] = eligible[security];
  }

  /**
   * The scans whose answer about a security may change as time passes: it is inside one that
   * depends on time, or kept out by a rule that does. Any other rule that keeps it out goes on
   * doing so until its next event.
   */
  public long awaiting(int security) {
    return awaiting[security];
  }

  /** Whether some of the given scans could ever let a security through. */
  public boolean couldFit(int security, long scans) {
    return (scans & eligible[security]) != 0;
  }

  /** Those of the given scans whose rules a security fits now, in an open window. */
  public long fitting(SymbolState state, long scans, long now, int phase) {
    long todo = scans & open & eligible[state.id()];
    long fitting = 0;
    shared.ask();
    table.layFor(phase);
    while (todo != 0) {
      int k = Long.numberOfTrailingZeros(todo);
      todo &= todo - 1;
      fitting |= holds(k, state, now, phase) ? 1L << k : 0;
    }
    return fitting;
  }

  private boolean holds(int scan, SymbolState state, long now, int phase) {
    int place = state.id() * checks.length + scan;
    int blocker = blockers[place] - 1;
    if (blocker >= 0 && fails(scan, blocker, state, now, phase)) {
      return false;
    }
    int failing = firstFailing(scan, state, now, phase);
    blockers[place] = (byte) (failing + 1);
    return failing < 0;
  }

  private boolean fails(int scan, int blocker, SymbolState state, long now, int phase) {
    int rule = firstRule[scan] + blocker;
    return rule < firstRule[scan + 1]
        ? !table.passes(rule, state, now)
        : checks[scan].groupFails(blocker, state, now, phase);
  }

  /** The place of the first rule or group of a scan that fails; -1 when all hold. */
  private int firstFailing(int scan, SymbolState state, long now, int phase) {
    for (int rule = firstRule[scan]; rule < firstRule[scan + 1]; rule++) {
      if (!table.passes(rule, state, now)) {
        return rule - firstRule[scan];
      }
    }
    return checks[scan].failingGroup(state, now, phase);
  }

  /** Whether a security was inside a scan after the last update. */
  public boolean isInside(int security, int scan) {
    return (inside[security] >>> scan & 1) != 0;
  }

  /** A copy of who is inside what. */
  public long[] insideCopy() {
    return inside.clone();
  }

  /** Takes over who is inside what at a moment. */
  public void restore(long[] insideThen, long moment) {
    System.arraycopy(insideThen, 0, inside, 0, inside.length);
    System.arraycopy(eligible, 0, awake, 0, awake.length);
    Arrays.fill(awaiting, passing);
    openAt(moment);
  }
}
