package kelvo.explain;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import kelvo.field.Field;
import kelvo.rule.Bound;
import kelvo.rule.Relation;
import kelvo.rule.Rule;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.time.Phases;

/** Rules of one scan that cannot hold together, and rules that look against its side. */
public final class Contradictions {
  private static final Set<String> SIGNED =
      Set.of("gap", "change", "change %", "change from open %", "distance from vwap");

  private Contradictions() {}

  /** Whether a rule is about a change that is above zero for risers and below it for fallers. */
  static boolean isOfChange(Rule rule) {
    return SIGNED.contains(rule.field().words());
  }

  /** A sentence for each contradiction; none when the scan may find something. */
  public static List<String> of(Scan scan, Phases phases) {
    Set<String> found = new LinkedHashSet<>();
    for (int phase = 0; phase < phases.all().size(); phase++) {
      for (int i = 0; i < scan.rules().size(); i++) {
        for (int j = i + 1; j < scan.rules().size(); j++) {
          if (exclude(scan.rules().get(i), scan.rules().get(j), phase, phases)) {
            found.add(
                quoted(scan.rules().get(i))
                    + " and "
                    + quoted(scan.rules().get(j))
                    + " never hold together.");
          }
        }
      }
    }
    for (Rule rule : scan.rules()) {
      if (looksAgainst(scan.side(), rule, phases)) {
        found.add(
            "The scan looks "
                + scan.side().word()
                + ", but "
                + quoted(rule)
                + " keeps only the others.");
      }
    }
    return new ArrayList<>(found);
  }

  private static String quoted(Rule rule) {
    return "\"" + rule.sentence() + "\"";
  }

  private static boolean exclude(Rule one, Rule other, int phase, Phases phases) {
    if (!one.field().words().equals(other.field().words())
        || (one.orUnknown() && other.orUnknown())) {
      return false;
    }
    if (one.field() instanceof Field.Word) {
      return wordsExclude(one, other);
    }
    Optional<Rule.Interval> a = one.intervalIn(phase, phases);
    Optional<Rule.Interval> b = other.intervalIn(phase, phases);
    return a.isPresent()
        && b.isPresent()
        && Math.max(a.get().low(), b.get().low()) > Math.min(a.get().high(), b.get().high());
  }

  private static boolean wordsExclude(Rule one, Rule other) {
    boolean bothName = one.relation() != Relation.IS_NOT && other.relation() != Relation.IS_NOT;
    return bothName
        && one.steps().getFirst().bound() instanceof Bound.Words a
        && other.steps().getFirst().bound() instanceof Bound.Words b
        && a.all().stream().noneMatch(word -> b.all().stream().anyMatch(word::equalsIgnoreCase));
  }

  /** Whether a rule on a change keeps only those that go the other way than the scan looks. */
  private static boolean looksAgainst(Side side, Rule rule, Phases phases) {
    if (side == Side.BOTH || !isOfChange(rule)) {
      return false;
    }
    for (int phase = 0; phase < phases.all().size(); phase++) {
      Optional<Rule.Interval> interval = rule.intervalIn(phase, phases);
      if (interval.isPresent()
          && (side == Side.UP ? interval.get().high() < 0 : interval.get().low() > 0)) {
        return true;
      }
    }
    return false;
  }
}
