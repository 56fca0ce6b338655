package kelvo.hit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kelvo.field.Field;
import kelvo.refusal.RefusedException;
import kelvo.rule.RuleCheck;
import kelvo.rule.RuleTable;
import kelvo.rule.SharedReadings;
import kelvo.scan.Scan;
import kelvo.scan.ScanCheck;
import kelvo.session.Session;
import kelvo.state.SlidingSpan;
import kelvo.state.SymbolState;
import kelvo.trigger.Trigger;

/**
 * Which securities are inside which scans, kept up to date event by event. Scans are bits of a
 * long. Owned by one thread.
 */
public final class ScanBoard {
  /** The most scans that can run at once. */
  public static final int MAX = Long.SIZE;

  /** Place in a row of the scans that a security is inside. */
  private static final int INSIDE = 0;

  /** Place of the scans whose answer may change as time passes. */
  private static final int AWAITING = 1;

  /** Place of the moment when time alone may change an answer about it. */
  private static final int CHANGES_AT = 2;

  private static final int ROW_BITS = 2;

  private final ScanCheck[] checks;
  private final SharedReadings shared;

  /** The rules of all scans that can change, outside groups. */
  private final RuleTable table;

  /** The scans with groups. */
  private final long grouped;

  /** The scans whose settled rules let a security through. */
  private final long[] eligible;

  /**
   * The scans whose settled rules let a security through and that are awake: looked at after every
   * event, so that it lies by itself and stays in the processor's nearest caches.
   */
  private final long[] awake;

  /** What changes while some scan is awake: a row a security, side by side in memory. */
  private final long[] rows;

  private final Map<Trigger, Long> byTrigger = new HashMap<>();
  private final long edges;
  private final long lastMinute;
  private final long lastFiveMinutes;
  private final long clocked;
  private final long passing;
  private final long timed;

  private final long quoted;
  private long open;

  /** The scans that are open and watched for edges. */
  private long asking;

  /** The scans that were last found shut by a group that time alone may open. */
  private long groupsMayOpen;

  /** A board before the first event. */
  public ScanBoard(List<Scan> scans, Session session) {
    if (scans.size() > MAX) {
      throw new RefusedException("at most " + MAX + " scans run at once, found " + scans.size());
    }
    int securities = session.securities().size();
    shared = new SharedReadings(session);
    checks = scans.stream().map(scan -> new ScanCheck(scan, shared)).toArray(ScanCheck[]::new);
    List<RuleTable.Entry> rules = new ArrayList<>();
    long withGroups = 0;
    for (int k = 0; k < checks.length; k++) {
      for (RuleCheck rule : checks[k].live()) {
        rules.add(new RuleTable.Entry(k, rule));
      }
      withGroups |= checks[k].hasGroups() ? 1L << k : 0;
    }
    table = new RuleTable(rules, shared);
    grouped = withGroups;
    eligible = new long[securities];
    awake = new long[securities];
    rows = new long[securities << ROW_BITS];
    for (int k = 0; k < checks.length; k++) {
      for (int i = 0; i < securities; i++) {
        eligible[i] |= checks[k].eligible(i) ? 1L << k : 0;
      }
      for (Trigger trigger : checks[k].scan().triggers()) {
        byTrigger.merge(trigger, 1L << k, (x, y) -> x | y);
      }
    }
    for (int i = 0; i < securities; i++) {
      wake(i);
    }
    edges = listeningToEdges();
    lastMinute = dependingOn(Field.Pace.LAST_MINUTE) & edges;
    lastFiveMinutes = dependingOn(Field.Pace.LAST_FIVE_MINUTES) & edges;
    clocked = (dependingOn(Field.Pace.CLOCK) | dependingOn(Field.Pace.FALLING)) & edges;
    passing = lastMinute | lastFiveMinutes | clocked;
    timed = dependingOn(Field.Pace.MINUTES) & edges;
    quoted = dependingOn(Field.Pace.QUOTES) & edges;
  }

  /** The scans that must know at any time who is inside. */
  private long listeningToEdges() {
    long mask = listening(Trigger.ENTERS) | listening(Trigger.LEAVES);
    for (Map.Entry<Trigger, Long> entry : byTrigger.entrySet()) {
      mask |= entry.getKey().rank() > 0 ? entry.getValue() : 0;
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
    return asking == 0 ? 0 : asking & awake[security];
  }

  /**
   * The scans to ask after a quote of a security that has traded: those that look at the quote,
   * and, once {@link #awaitUntil} has come, those whose answer may have changed because time has
   * passed.
   */
  public long dueAfterQuote(int security, long now) {
    long due = dueAfterEvent(security);
    if (due == 0 || now < rows[(security << ROW_BITS) + CHANGES_AT]) {
      return due & quoted;
    }
    return due & (quoted | timed | rows[(security << ROW_BITS) + AWAITING]);
  }

  /** Notes when time alone may next change an answer about a security. */
  public void awaitUntil(int security, long moment) {
    rows[(security << ROW_BITS) + CHANGES_AT] = moment;
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
      for (int row = 0; row < rows.length; row += 1 << ROW_BITS) {
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
    long todo = scans & open & awake[id];
    if (todo == 0) {
      return 0;
    }
    int row = id << ROW_BITS;
    long before = rows[row + INSIDE];
    long passed = ask(todo, state, now, phase);
    long after = (before & ~todo) | passed;
    rows[row + INSIDE] = after;
    rows[row + AWAITING] =
        ((rows[row + AWAITING] & ~todo) | passed | table.mayOpenWithTime() | groupsMayOpen)
            & passing;
    long waitingForNews = table.waitingForNews();
    if (waitingForNews != 0) {
      awake[id] &= ~waitingForNews;
    }
    return before ^ after;
  }

  /** Those of the given scans that hold; also notes the groups that time alone may open. */
  private long ask(long scans, SymbolState state, long now, int phase) {
    shared.ask();
    table.layFor(phase);
    groupsMayOpen = 0;
    long passed = table.passing(scans, state, now);
    for (long todo = passed & grouped; todo != 0; todo &= todo - 1) {
      int k = Long.numberOfTrailingZeros(todo);
      int group = checks[k].failingGroup(state, now, phase);
      if (group >= 0) {
        passed &= ~(1L << k);
        groupsMayOpen |= checks[k].groupMayPassWithTime(group) ? 1L << k : 0;
      }
    }
    return passed;
  }

  /** Reads every field that some scan asks for, so that none of them has much to catch up with. */
  public void readAll(SymbolState state, long now) {
    shared.ask();
    shared.readAll(state, now);
  }

  /**
   * Asks all scans about a security again at its next event. A scan that a rule on the minutes
   * since news keeps shut for good sleeps until there is news, since nothing else can open it.
   */
  public void wake(int security) {
    awake[security] = eligible[security];
  }

  /** Whether some of the given scans are awake for a security. */
  public boolean isAwake(int security, long scans) {
    return (scans & awake[security]) != 0;
  }

  /**
   * The scans whose answer about a security may change as time passes: it is inside one that
   * depends on time, or kept out by a rule that does. Any other rule that keeps it out goes on
   * doing so until its next event.
   */
  public long awaiting(int security) {
    return rows[(security << ROW_BITS) + AWAITING];
  }

  /** Whether some of the given scans could ever let a security through. */
  public boolean couldFit(int security, long scans) {
    return (scans & eligible[security]) != 0;
  }

  /** Those of the given scans whose rules a security fits now, in an open window. */
  public long fitting(SymbolState state, long scans, long now, int phase) {
    long opened = scans & open;
    long todo = opened == 0 ? 0 : opened & eligible[state.id()];
    return todo == 0 ? 0 : ask(todo, state, now, phase);
  }

  /** Whether a security was inside a scan after the last update. */
  public boolean isInside(int security, int scan) {
    return (rows[(security << ROW_BITS) + INSIDE] >>> scan & 1) != 0;
  }
}
