package kelvo.research;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import kelvo.explain.CutCurve;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.Values;
import kelvo.history.Median;
import kelvo.rule.Rule;
import kelvo.scan.Scan;
import kelvo.scan.ScanCheck;
import kelvo.state.Subject;

/**
 * How securities that lay beyond a bound of a rule moved from the same time of day to the close in
 * recorded sessions, while they fitted all other rules of the scan. Immutable.
 *
 * @param rule the rule's place among the scan's
 * @param atMost whether those at or below a bound lie beyond it, not those at or above
 * @param bound the rule's own bound
 * @param bounds at which it was counted, the rule's own among them, ascending
 * @param counts how many lay beyond each, a security once a session
 * @param medians their median move to the close, per cent; NaN for fewer than {@link #MIN}
 * @param sessions the number of recorded sessions
 * @param moment the time of day, {@link kelvo.time.DayTime}
 */
public record MovesBeyond(
    int rule,
    boolean atMost,
    double bound,
    double[] bounds,
    int[] counts,
    double[] medians,
    int sessions,
    long moment) {
  /** Of fewer a median says nothing. */
  public static final int MIN = 5;

  private static final int MAX_BOUNDS = 48;

  private record Move(double value, double toClose) {}

  /** Counts along a cut curve; the recorded moments know the fields that the scan asks. */
  public static MovesBeyond of(Scan scan, CutCurve curve, List<RecordedMoment> recorded) {
    List<Rule> rules = new ArrayList<>(scan.rules());
    rules.remove(curve.rule());
    Scan others = scan.withRules(rules);
    boolean atMost = curve.hasHigh() && !curve.hasLow();
    List<Move> moves =
        recorded.stream().flatMap(then -> moves(then, others, curve, atMost)).toList();
    double own = atMost ? curve.high() : curve.low();
    double[] bounds = bounds(own, moves.stream().mapToDouble(Move::value).sorted().toArray());
    int[] counts = new int[bounds.length];
    double[] medians = new double[bounds.length];
    for (int i = 0; i < bounds.length; i++) {
      double bound = bounds[i];
      double[] beyond =
          moves.stream()
              .filter(move -> atMost ? move.value <= bound : move.value >= bound)
              .mapToDouble(Move::toClose)
              .toArray();
      counts[i] = beyond.length;
      medians[i] = beyond.length < MIN ? Double.NaN : Median.of(Arrays.stream(beyond));
    }
    return new MovesBeyond(
        curve.rule(),
        atMost,
        own,
        bounds,
        counts,
        medians,
        recorded.size(),
        recorded.isEmpty() ? 0 : recorded.getFirst().moment());
  }

  private static Stream<Move> moves(
      RecordedMoment then, Scan others, CutCurve curve, boolean atMost) {
    List<Move> moves = new ArrayList<>();
    ScanCheck check = new ScanCheck(others, then);
    Values.Numbers field = then.numbers(curve.field());
    int phase = then.phases().indexAt(then.moment());
    for (int i = 0; i < then.size(); i++) {
      Subject row = then.settled(i);
      double value = field.of(row, then.moment());
      boolean within = atMost || !(value > curve.high());
      if (!Double.isNaN(value)
          && within
          && !Double.isNaN(then.toClose(i))
          && check.holds(row, then.moment(), phase)) {
        moves.add(new Move(value, then.toClose(i)));
      }
    }
    return moves.stream();
  }

  /** The rule's own bound and some of the values, as many of them between any two neighbours. */
  private static double[] bounds(double own, double[] sorted) {
    int count = Math.min(MAX_BOUNDS, sorted.length);
    DoubleStream some =
        DoubleStream.iterate(0, i -> i + 1)
            .limit(count)
            .map(i -> sorted[(int) (i * (sorted.length - 1) / Math.max(1, count - 1))]);
    return DoubleStream.concat(DoubleStream.of(own), some).sorted().distinct().toArray();
  }

  /** The place of the counted bound nearest to a bound, on its far side; -1 when there is none. */
  public int placeOf(double bound) {
    int found = Arrays.binarySearch(bounds, bound);
    if (found >= 0) {
      return found;
    }
    int above = -found - 1;
    return atMost ? above - 1 : above < bounds.length ? above : -1;
  }

  /** The fields that must be known of a recorded moment: the usual ones and those of the scan. */
  public static Set<Field> fields(Scan scan) {
    Set<Field> fields = new LinkedHashSet<>(FieldCatalogue.usual());
    Stream.concat(Stream.of(scan.rules(), scan.universe().rules()), scan.anyOf().stream())
        .flatMap(List::stream)
        .forEach(rule -> fields.addAll(rule.fields()));
    return fields;
  }
}
