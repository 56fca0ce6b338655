package kelvo.rule;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kelvo.field.Field;
import kelvo.state.SymbolState;

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

  /** One column a field, in the order in which they are asked. */
  private final List<Field.Number> fields;

  private final RuleColumn[] columns;
  private final RuleColumn.Reopening reopening = new RuleColumn.Reopening();
  private final short[] lastCells;
  private int phase = NO_PHASE;

  /** The rules that are no interval of a field. */
  private Entry[] others = {};

  /** Rules made ready with the same readings. */
  public RuleTable(List<Entry> entries, SharedReadings shared) {
    this.entries = List.copyOf(entries);
    fields = fieldsOf(entries);
    columns = new RuleColumn[fields.size()];
    lastCells = new short[shared.session().securities().size() * fields.size()];
    for (int i = 0; i < columns.length; i++) {
      columns[i] =
          new RuleColumn(
              shared, shared.placeOf(fields.get(i)), lastCells, i, columns.length, reopening);
    }
  }

  /** Each field that a rule asks for once, the cheap ones first. */
  private static List<Field.Number> fieldsOf(List<Entry> entries) {
    return entries.stream()
        .map(entry -> entry.rule.rule().field())
        .filter(Field.Number.class::isInstance)
        .map(Field.Number.class::cast)
        .distinct()
        .sorted(Comparator.comparingInt(field -> cost(field.pace())))
        .toList();
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
    Arrays.fill(lastCells, (short) 0);
    for (int i = 0; i < columns.length; i++) {
      columns[i].lay(boundsOf(byField.getOrDefault(fields.get(i), List.of())));
    }
  }

  /**
   * What it costs to ask a field. Before all others the minutes since news: a scan that they shut
   * need not be asked again until there is news.
   */
  private static int cost(Field.Pace pace) {
    return pace == Field.Pace.MINUTES ? -1 : pace.ordinal();
  }

  private RuleColumn.PhaseBounds boundsOf(List<Entry> ofField) {
    List<BoundCells.Interval> intervals = new ArrayList<>();
    long asking = 0;
    long openedByTime = 0;
    long openedByNews = 0;
    for (Entry entry : ofField) {
      long bit = 1L << entry.scan;
      intervals.add(entry.rule.intervalIn(phase, bit));
      asking |= bit;
      openedByTime |= entry.rule.rule().mayPassWithTime() ? bit : 0;
      openedByNews |= entry.rule.rule().isTimed() ? bit : 0;
    }
    return new RuleColumn.PhaseBounds(
        new BoundCells(intervals), asking, openedByTime, openedByNews);
  }

  /**
   * Those of the given scans all of whose rules hold for the security that is asked about. What
   * shut the others is told by {@link #mayOpenWithTime} and {@link #waitingForNews} until the next
   * call.
   */
  public long passing(long scans, SymbolState state, long now) {
    reopening.byTime = 0;
    reopening.byNews = 0;
    long left = scans;
    for (int i = 0; i < columns.length && left != 0; i++) {
      left = columns[i].passing(left, state, now);
    }
    for (int i = 0; i < others.length && left != 0; i++) {
      left = askOther(others[i], left, state, now);
    }
    return left;
  }

  private long askOther(Entry other, long scans, SymbolState state, long now) {
    long bit = 1L << other.scan;
    if ((scans & bit) == 0 || other.rule.passes(state, now, phase)) {
      return scans;
    }
    reopening.byTime |= other.rule.rule().mayPassWithTime() ? bit : 0;
    return scans & ~bit;
  }

  /** The scans that the last call found shut by a rule that time alone may open. */
  public long mayOpenWithTime() {
    return reopening.byTime;
  }

  /**
   * The scans that the last call found shut by a rule on the minutes since news until there is more
   * news, since the minutes only grow.
   */
  public long waitingForNews() {
    return reopening.byNews;
  }
}
