package kelvo.research.bars;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kelvo.rule.Rule;
import kelvo.rule.RuleCheck;
import kelvo.scan.ScanCheck;
import kelvo.time.Phases;

/**
 * Tells from a day's totals that a scan held at none of its minutes, so that they need no look.
 * Owned by one thread.
 */
final class DayBounds {
  private record Bounded(BarField field, List<Rule.Interval> intervals) {
    /** Whether some value of the day may lie in the interval of some phase. */
    boolean mayHold(WholeDay day) {
      double least = field.least(day);
      double most = field.most(day);
      for (Rule.Interval interval : intervals) {
        if (most >= interval.low() && least <= interval.high()) {
          return true;
        }
      }
      return false;
    }
  }

  private final ScanCheck check;
  private final WholeDay day;
  private final long[] previousCloses;
  private final double[] floats;
  private final List<Bounded> bounds = new ArrayList<>();

  /**
   * For a scan that is asked from one moment to another, {@link kelvo.time.DayTime}, both included.
   */
  DayBounds(ScanCheck check, BarSession session, long from, long to) {
    this.check = check;
    day = new WholeDay(session.totals());
    previousCloses = session.previousCloses();
    floats = session.floats();
    for (RuleCheck rule : check.live()) {
      bounded(rule.rule(), session.phases(), from, to).ifPresent(bounds::add);
    }
  }

  /** The intervals of a rule; empty when in some phase every value may pass. */
  private static Optional<Bounded> bounded(Rule rule, Phases phases, long from, long to) {
    Optional<BarField> field = BarField.of(rule.field());
    if (field.isEmpty() || rule.orUnknown()) {
      return Optional.empty();
    }
    List<Rule.Interval> intervals = new ArrayList<>();
    for (int phase = phases.indexAt(from); phase <= phases.indexAt(to); phase++) {
      Optional<Rule.Interval> interval = rule.intervalIn(phase, phases);
      if (interval.isEmpty()) {
        return Optional.empty();
      }
      intervals.add(interval.get());
    }
    return Optional.of(new Bounded(field.get(), intervals));
  }

  /** Whether the scan may have held for a security. */
  boolean mayHold(int place) {
    if (!check.eligible(place)) {
      return false;
    }
    day.moveTo(place, previousCloses[place], floats[place]);
    for (Bounded bound : bounds) {
      if (!bound.mayHold(day)) {
        return false;
      }
    }
    return true;
  }
}
