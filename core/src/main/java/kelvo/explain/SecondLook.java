package kelvo.explain;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.StateValues;
import kelvo.replay.Seekable;
import kelvo.replay.TapeReplay;
import kelvo.rule.Rule;
import kelvo.rule.RuleCheck;
import kelvo.rule.RuleSentence;
import kelvo.scan.Scan;
import kelvo.scan.ScanCheck;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import org.jspecify.annotations.Nullable;

/**
 * Who fitted a scan's rules at a first moment and no more at a second one, and who is new. The
 * scan's window does not matter: the morning's rules are asked again after it has closed.
 *
 * @param rows those who fell out, then the new ones, then those who stayed, each by symbol
 */
public record SecondLook(long first, long second, List<Row> rows) {
  /** How a security stands at the second look. */
  public enum Status {
    FELL_OUT("fell out"),
    NEW("new"),
    STAYED("stayed");

    private final String words;

    Status(String words) {
      this.words = words;
    }

    /** The status in words. */
    public String words() {
      return words;
    }
  }

  /**
   * One security.
   *
   * @param then its change from the previous close at the first moment, per cent; NaN when unknown
   * @param now the same at the second
   * @param why the rules that it fails now, with its values; empty unless it fell out
   */
  public record Row(String symbol, Status status, double then, double now, String why) {}

  /** Looks at two moments of a session; costs two seeks. */
  public static SecondLook of(Seekable run, Scan scan, long first, long second) {
    Session session = run.session();
    ScanCheck check = new ScanCheck(scan, session);
    TapeReplay replay = run.replay();
    run.seek(replay, first);
    boolean[] then = fits(check, replay);
    double[] changes = changes(replay);
    run.seek(replay, second);
    boolean[] now = fits(check, replay);
    double[] changesNow = changes(replay);
    List<Row> rows = new ArrayList<>();
    for (Status status : Status.values()) {
      for (int i = 0; i < then.length; i++) {
        if (status == status(then[i], now[i])) {
          String why = status == Status.FELL_OUT ? why(scan, session, replay.state(i), replay) : "";
          rows.add(new Row(session.security(i).symbol(), status, changes[i], changesNow[i], why));
        }
      }
    }
    return new SecondLook(first, second, List.copyOf(rows));
  }

  private static boolean[] fits(ScanCheck check, TapeReplay replay) {
    boolean[] fits = new boolean[replay.session().securities().size()];
    for (int i = 0; i < fits.length; i++) {
      fits[i] = check.holds(replay.state(i), replay.clock(), replay.phase());
    }
    return fits;
  }

  private static double[] changes(TapeReplay replay) {
    Field.Reading change = FieldCatalogue.number("change %").bind(replay.session());
    double[] changes = new double[replay.session().securities().size()];
    for (int i = 0; i < changes.length; i++) {
      changes[i] = change.at(replay.state(i), replay.clock());
    }
    return changes;
  }

  private static @Nullable Status status(boolean then, boolean now) {
    if (then) {
      return now ? Status.STAYED : Status.FELL_OUT;
    }
    return now ? Status.NEW : null;
  }

  /** The rules that fail, and the groups of which none holds, with what they were about. */
  private static String why(Scan scan, Session session, SymbolState state, TapeReplay replay) {
    Stream<List<Rule>> groups =
        Stream.concat(scan.rules().stream().map(List::of), scan.anyOf().stream());
    return groups
        .filter(
            group ->
                group.stream()
                    .noneMatch(
                        r -> check(r, scan, session).passes(state, replay.clock(), replay.phase())))
        .map(
            group ->
                RuleSentence.ofAny(group)
                    + " (now "
                    + shown(check(group.getFirst(), scan, session), state, replay.clock())
                    + ")")
        .collect(Collectors.joining("; "));
  }

  private static RuleCheck check(Rule rule, Scan scan, Session session) {
    return new RuleCheck(rule.in(scan.name()), new StateValues(session));
  }

  private static String shown(RuleCheck check, SymbolState state, long now) {
    String value = check.shown(state, now);
    return value.isEmpty() ? "unknown" : value;
  }
}
