package kelvo.scan;

import java.util.List;
import java.util.stream.Stream;
import kelvo.field.Field;
import kelvo.refusal.RefusedException;
import kelvo.rule.Rule;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.universe.Universe;

/**
 * A named set of rules over the whole market.
 *
 * @param name unique among the scans in use
 * @param purpose what it is for, in one sentence; may be empty
 * @param universe which securities it looks at
 * @param from start of its window, {@link DayTime}
 * @param to end of its window, excluded
 * @param rules all of these must hold
 * @param anyOf of each group at least one must hold
 * @param triggers what makes a hit while the rules hold; empty means entering the scan
 * @param fold how long a firing stays open for repeats, nanoseconds
 * @param side which way it looks
 * @param limit most matches listed
 * @param sort orders by moment, earliest first; empty means by symbol
 * @param columns fields listed beside the symbol
 */
public record Scan(
    String name,
    String purpose,
    Universe universe,
    long from,
    long to,
    List<Rule> rules,
    List<List<Rule>> anyOf,
    List<Trigger> triggers,
    long fold,
    Side side,
    int limit,
    List<SortOrder> sort,
    List<Field> columns) {
  /** How long a fold stays open unless the scan says otherwise. */
  public static final long DEFAULT_FOLD = 15 * DayTime.MINUTE;

  public Scan {
    if (name.isBlank()) {
      throw new RefusedException("a scan needs a name");
    }
    if (from >= to) {
      throw new RefusedException("the window of \"" + name + "\" ends before it starts");
    }
    if (limit < 1) {
      throw new RefusedException(
          "the limit of \"" + name + "\" must be at least 1, found " + limit);
    }
    rules = List.copyOf(rules);
    anyOf = anyOf.stream().map(List::copyOf).toList();
    triggers = triggers.isEmpty() ? List.of(Trigger.ENTERS) : List.copyOf(triggers);
    sort = List.copyOf(sort);
    columns = List.copyOf(columns);
  }

  /** The fields that its rules, columns and orders ask for; those of its universe left out. */
  public List<Field> fields() {
    Stream<Field> asked =
        Stream.concat(rules.stream(), anyOf.stream().flatMap(List::stream))
            .flatMap(rule -> rule.fields().stream());
    Stream<Field> listed = Stream.concat(columns.stream(), sort.stream().map(SortOrder::field));
    return Stream.concat(asked, listed).toList();
  }

  /** Whether a moment lies in its window. */
  public boolean open(long moment) {
    return moment >= from && moment < to;
  }

  /**
   * A short name for what decides its hits: universe, window, rules, triggers, fold and side. Two
   * scans of one version find the same; how a scan is called, listed and sorted does not matter. It
   * is the same on every machine.
   */
  public String version() {
    return ScanVersion.of(this);
  }

  /** Under another name. */
  public Scan named(String other) {
    return new Scan(
        other, purpose, universe, from, to, rules, anyOf, triggers, fold, side, limit, sort,
        columns);
  }

  /** For another purpose. */
  public Scan meant(String other) {
    return new Scan(
        name, other, universe, from, to, rules, anyOf, triggers, fold, side, limit, sort, columns);
  }

  /** With other rules. */
  public Scan withRules(List<Rule> others) {
    return new Scan(
        name, purpose, universe, from, to, others, anyOf, triggers, fold, side, limit, sort,
        columns);
  }

  /** With other groups of which one rule each must hold. */
  public Scan withAnyOf(List<List<Rule>> others) {
    return new Scan(
        name, purpose, universe, from, to, rules, others, triggers, fold, side, limit, sort,
        columns);
  }

  /** Looking at another universe. */
  public Scan within(Universe other) {
    return new Scan(
        name, purpose, other, from, to, rules, anyOf, triggers, fold, side, limit, sort, columns);
  }

  /** With other triggers. */
  public Scan withTriggers(List<Trigger> others) {
    return new Scan(
        name, purpose, universe, from, to, rules, anyOf, others, fold, side, limit, sort, columns);
  }

  /** With other orders and columns. */
  public Scan listing(List<SortOrder> orders, List<Field> fields) {
    return new Scan(
        name, purpose, universe, from, to, rules, anyOf, triggers, fold, side, limit, orders,
        fields);
  }

  /** Looking another way. */
  public Scan looking(Side other) {
    return new Scan(
        name, purpose, universe, from, to, rules, anyOf, triggers, fold, other, limit, sort,
        columns);
  }
}
