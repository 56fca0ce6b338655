package kelvo.review;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kelvo.field.Field;
import kelvo.field.RecentHits;
import kelvo.rule.LooserRule;
import kelvo.rule.Rule;
import kelvo.scan.Scan;
import kelvo.scan.ScanCheck;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.time.Phases;
import org.jspecify.annotations.Nullable;

/**
 * How near one symbol came to each bound of a scan while all other rules held: after each of its
 * events and as each second begins, for a scan that only waits for its rules.
 */
final class NearMisses implements SymbolWatcher {
  private final Phases phases;
  private final Scan scan;
  private final List<Asked> asked = new ArrayList<>();
  private @Nullable SymbolState state;

  /** A rule with all others, and the nearest miss so far. */
  private static final class Asked {
    final Rule rule;
    final ScanCheck others;
    final Field.@Nullable Reading reading;
    @Nullable Rule nearest;
    double distance = Double.POSITIVE_INFINITY;

    Asked(Rule rule, ScanCheck others, Session session, String scan) {
      this.rule = rule;
      this.others = others;
      reading =
          rule.field() instanceof Field.Number number
              ? RecentHits.in(number, scan).bind(session)
              : null;
    }

    void miss(double value, int phase, Phases phases) {
      double far = LooserRule.distance(rule, phase, phases, value);
      if (far < distance) {
        Optional<Rule> looser = LooserRule.passing(rule, phase, phases, value);
        if (looser.isPresent()) {
          distance = far;
          nearest = looser.get();
        }
      }
    }
  }

  /** Nothing is known yet; the scan must look at the symbol alone. */
  NearMisses(Session session, Scan scan) {
    phases = session.phases();
    this.scan = scan;
    for (Rule rule : scan.rules()) {
      List<Rule> others = new ArrayList<>(scan.rules());
      others.remove(rule);
      asked.add(
          new Asked(rule, new ScanCheck(scan.withRules(others), session), session, scan.name()));
    }
  }

  /** Whom to ask about, before anything is heard. */
  @Override
  public void look(SymbolState wanted) {
    state = wanted;
  }

  @Override
  public void applied(SymbolState changed, int effects, int event, long now) {
    if (changed == state) {
      ask(changed, now);
    }
  }

  @Override
  public void second(long moment) {
    SymbolState wanted = state;
    if (wanted != null) {
      ask(wanted, moment);
    }
  }

  private void ask(SymbolState wanted, long now) {
    if (!scan.open(now)) {
      return;
    }
    int phase = phases.indexAt(now);
    for (Asked one : asked) {
      if (one.reading != null && one.others.holds(wanted, now, phase)) {
        one.miss(one.reading.at(wanted, now), phase, phases);
      }
    }
  }

  /** A trigger of the scan fired while all rules but this one held. */
  void fired(Rule rule, double value, int phase) {
    asked.stream()
        .filter(one -> one.rule.equals(rule))
        .forEach(one -> one.miss(value, phase, phases));
  }

  /** The rules that a nearer bound would have opened, each with that bound. */
  Map<Rule, Rule> nearest() {
    Map<Rule, Rule> nearest = new LinkedHashMap<>();
    for (Asked one : asked) {
      Rule looser = one.nearest;
      if (looser != null) {
        nearest.put(one.rule, looser);
      }
    }
    return nearest;
  }
}
