package kelvo.universe;

import java.util.ArrayList;
import java.util.List;
import kelvo.field.Field;
import kelvo.field.StateValues;
import kelvo.field.Values;
import kelvo.rule.Rule;
import kelvo.rule.RuleCheck;
import kelvo.session.Session;
import kelvo.state.Subject;

/** Who is in a universe in one session, and why the others are out. Immutable. */
public final class Membership {
  /** One rule's share: how many pass it alone, and how many are left after it. */
  public record Cut(String rule, int alone, int left) {}

  private final boolean[] in;
  private final String[] whyOut;
  private final List<Cut> cuts;
  private final int count;

  private Membership(boolean[] in, String[] whyOut, List<Cut> cuts) {
    this.in = in;
    this.whyOut = whyOut;
    this.cuts = List.copyOf(cuts);
    int counted = 0;
    for (boolean one : in) {
      counted += one ? 1 : 0;
    }
    count = counted;
  }

  /** Asks every security of a session. */
  public static Membership of(Universe universe, Session session) {
    return of(universe, new StateValues(session));
  }

  /** Asks every security of a source of values. */
  public static Membership of(Universe universe, Values values) {
    int securities = values.size();
    String[] whyOut = new String[securities];
    java.util.Arrays.fill(whyOut, "");
    List<Cut> cuts = new ArrayList<>();
    for (Rule rule : universe.rules()) {
      cuts.add(cut(rule, values, whyOut));
    }
    boolean[] in = new boolean[securities];
    for (int i = 0; i < securities; i++) {
      String symbol = values.symbol(i);
      if (universe.excluded().contains(symbol)) {
        whyOut[i] = "excluded by hand";
      } else if (universe.added().contains(symbol)) {
        whyOut[i] = "";
      }
      in[i] = whyOut[i].isEmpty();
    }
    return new Membership(in, whyOut, cuts);
  }

  /** What each rule of a universe says of one security of a session. */
  public static List<RuleCheck.Answer> answers(Universe universe, Session session, int security) {
    StateValues values = new StateValues(session);
    return universe.rules().stream()
        .map(rule -> new RuleCheck(rule, values).answer(values.settled(security), 0, 0))
        .toList();
  }

  /** Asks one rule of everyone; the first that fails tells why a security is out. */
  private static Cut cut(Rule rule, Values values, String[] whyOut) {
    RuleCheck check = new RuleCheck(rule, values);
    int alone = 0;
    int left = 0;
    for (int i = 0; i < whyOut.length; i++) {
      Subject fresh = values.settled(i);
      if (check.passes(fresh, 0, 0)) {
        alone++;
        left += whyOut[i].isEmpty() ? 1 : 0;
      } else if (whyOut[i].isEmpty()) {
        String value = check.value(fresh, 0);
        whyOut[i] = why(rule, value);
      }
    }
    return new Cut(rule.sentence(), alone, left);
  }

  /** "fund" rather than that its kind is one; else the field and what it is. */
  private static String why(Rule rule, String value) {
    String field = rule.field().words();
    if (value.isEmpty()) {
      return field + " unknown";
    }
    return rule.field() instanceof Field.Word ? value : field + " " + value;
  }

  /** Whether a security is in. */
  public boolean contains(int security) {
    return in[security];
  }

  /** How many are in. */
  public int count() {
    return count;
  }

  /** Why a security is out; empty when it is in. */
  public String whyOut(int security) {
    return whyOut[security];
  }

  /** Each rule's share, in the universe's order; symbols named by hand are not counted in. */
  public List<Cut> cuts() {
    return cuts;
  }
}
