package kelvo.rule;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kelvo.field.Field;
import kelvo.market.SymbolState;

/**
 * The rules of many scans laid out for one phase, so that all scans are asked at once: each field's
 * bounds are sorted into cells, and a value leaves those scans that its cell keeps. Scans are bits
 * of a long. Owned by one thread; does not allocate when asked.
 */
public final class RuleTable {
  private static final int NO_PHASE = -1;

  /**
   * One rule of a scan.
   *
   * @param scan the scan's place
   */
  public record Entry(int scan, RuleCheck rule) {}

  private final List<Entry> entries;
  private final SharedReadings shared;

  /** For each security the column that last shut the last scan: the first to ask. */
  private final short[] firstColumn;

  private int phase = NO_PHASE;

  /**
   * One column a field: its place among the readings, its bounds, and the scans that it concerns.
   */
  private int[] places = {};

  private BoundCells[] cells = {};
  private long[] asking = {};
  private long[] openedByTime = {};
  private long[] openedByNews = {};

  /** The rules that are no interval of a field. */
  private Entry[] others = {};

  private long mayOpenWithTime;
  private long waitingForNews;

  /** Rules made ready with the same readings. */
  public RuleTable(List<Entry> entries, SharedReadings shared) {
    this.entries = List.copyOf(entries);
    this.shared = shared;
    firstColumn = new short[shared.session().securities().size()];
  }

  /** Lays the rules out for a phase, unless they lie so already. */
  public void layFor(int newPhase) {
    if (newPhase != phase) {
      phase = newPhase;
      lay();
    }
  }

  private void lay() {
    Map<Field.Number, List<Entry>> byField = new LinkedHashMap<>();
    List<Entry> rest = new ArrayList<>();
    for (Entry entry : entries) {
      if (entry.rule.isIntervalIn(phase)
          && entry.rule.rule().field() instanceof Field.Number field) {
        byField.computeIfAbsent(field, f -> new ArrayList<>()).add(entry);
      } else if (entry.rule.asksIn(phase)) {
        rest.add(entry);
      }
    }
    others = rest.toArray(Entry[]::new);
    List<Map.Entry<Field.Number, List<Entry>>> columns = new ArrayList<>(byField.entrySet());
    columns.sort(Comparator.comparing(column -> cost(column.getKey().pace())));
    places = new int[columns.size()];
    cells = new BoundCells[columns.size()];
    asking = new long[columns.size()];
    openedByTime = new long[columns.size()];
    openedByNews = new long[columns.size()];
    for (int i = 0; i < cells.length; i++) {
      places[i] = shared.placeOf(columns.get(i).getKey());
      layColumn(i, columns.get(i).getValue());
    }
  }

  /**
   * The cheap ones first. Before all others the minutes since news: a scan that they shut need not
   * be asked again until there is news.
   */
  private static int cost(Field.Pace pace) {
    return pace == Field.Pace.MINUTES ? -1 : pace.ordinal();
  }

  private void layColumn(int column, List<Entry> ofField) {
    List<BoundCells.Interval> intervals = new ArrayList<>();
    for (Entry entry : ofField) {
      long bit = 1L << entry.scan;
      intervals.add(entry.rule.intervalIn(phase, bit));
      asking[column] |= bit;
      openedByTime[column] |= entry.rule.rule().mayPassWithTime() ? bit : 0;
      openedByNews[column] |= entry.rule.rule().isTimed() ? bit : 0;
    }
    cells[column] = new BoundCells(intervals);
  }

  /**
   * Those of the given scans all of whose rules hold for the security that is asked about. What
   * shut the others is told by {@link #mayOpenWithTime} and {@link #waitingForNews} until the next
   * call.
   */
  public long passing(long scans, SymbolState state, long now) {
    mayOpenWithTime = 0;
    waitingForNews = 0;
    int id = state.id();
    int first = firstColumn[id];
    long left = first < cells.length ? narrow(first, scans, state, now) : scans;
    for (int column = 0; column < cells.length && left != 0; column++) {
      left = narrow(column, left, state, now);
      if (left == 0) {
        firstColumn[id] = (short) column;
      }
    }
    for (int i = 0; i < others.length && left != 0; i++) {
      left = askOther(others[i], left, state, now);
    }
    return left;
  }

  private long narrow(int column, long scans, SymbolState state, long now) {
    if ((asking[column] & scans) == 0) {
      return scans;
    }
    long kept = scans & cells[column].keeping(shared.value(places[column], state, now));
    long shut = scans ^ kept;
    mayOpenWithTime |= shut & openedByTime[column];
    long byNews = shut & openedByNews[column];
    if (byNews != 0) {
      waitingForNews |=
          byNews & ~cells[column].keepingFrom(shared.value(places[column], state, now));
    }
    return kept;
  }

  private long askOther(Entry other, long scans, SymbolState state, long now) {
    long bit = 1L << other.scan;
    if ((scans & bit) == 0 || other.rule.passes(state, now, phase)) {
      return scans;
    }
    mayOpenWithTime |= other.rule.rule().mayPassWithTime() ? bit : 0;
    return scans & ~bit;
  }

  /** The scans that the last call found shut by a rule that time alone may open. */
  public long mayOpenWithTime() {
    return mayOpenWithTime;
  }

  /**
   * The scans that the last call found shut by a rule on the minutes since news until there is more
   * news, since the minutes only grow.
   */
  public long waitingForNews() {
    return waitingForNews;
  }
}
