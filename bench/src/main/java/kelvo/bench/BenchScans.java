package kelvo.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.replay.TapeReplay;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.universe.Universe;

/**
 * Scans whose bounds are taken from what the fields of the newest prints' securities really are in
 * the middle of a session: amid their distribution, where prints cross them all the time, or in its
 * tail, as users set them.
 */
final class BenchScans {
  /** Where bounds lie in a field's distribution. */
  enum Bounds {
    DENSE(0.3, 0.7),
    TAILS(0.93, 0.999);

    private final double low;
    private final double high;

    Bounds(double low, double high) {
      this.low = low;
      this.high = high;
    }
  }

  private static final int SAMPLES = 20_000;
  private static final List<String> FIELDS =
      List.of(
          "change %",
          "volume",
          "volume 5m",
          "trades",
          "dollar volume",
          "distance from vwap",
          "day range %",
          "largest print",
          "float turnover",
          "trades 5m",
          "change from open %",
          "range ratio");

  private BenchScans() {}

  /** So many scans of so many rules each. */
  static List<Scan> of(Session session, Bounds bounds, int scans, int rulesEach) {
    long middle = (session.tape().time(0) + session.tape().time(session.tape().size() - 1)) / 2;
    TapeReplay engine = new TapeReplay(session);
    engine.runTo(middle);
    List<double[]> sorted = FIELDS.stream().map(words -> values(engine, words)).toList();
    SplittableRandom random = new SplittableRandom(7);
    List<Scan> made = new ArrayList<>();
    for (int k = 0; k < scans; k++) {
      List<Rule> rules = new ArrayList<>();
      for (int r = 0; r < rulesEach; r++) {
        int field = (k + r * 5) % FIELDS.size();
        double[] values = sorted.get(field);
        double part = bounds.low + random.nextDouble() * (bounds.high - bounds.low);
        double bound = values[(int) (part * (values.length - 1))];
        rules.add(
            RuleSentence.parse(
                FIELDS.get(field) + " at least " + String.format(Locale.ROOT, "%.4f", bound),
                Vocabulary.DEFAULT));
      }
      made.add(scan("scan " + k, rules, List.of()));
    }
    return made;
  }

  /** A scan of new highs, which come all the time. */
  static Scan ofHighs() {
    return scan(
        "highs",
        List.of(RuleSentence.parse("trades at least 100", Vocabulary.DEFAULT)),
        List.of(Trigger.NEW_HIGH_OF_DAY));
  }

  private static Scan scan(String name, List<Rule> rules, List<Trigger> triggers) {
    return new Scan(
        name,
        "",
        Universe.EVERYONE,
        DayTime.FIRST,
        DayTime.LAST,
        rules,
        List.of(),
        triggers,
        Scan.DEFAULT_FOLD,
        Side.UP,
        50,
        List.of(),
        List.of());
  }

  private static double[] values(TapeReplay engine, String words) {
    Field.Reading reading = FieldCatalogue.number(words).bind(engine.session());
    double[] values = new double[SAMPLES];
    for (int i = 0; i < SAMPLES; i++) {
      int print = engine.events() - 1 - i;
      int security = engine.session().tape().symbol(print);
      values[i] = reading.at(engine.state(security), engine.clock());
    }
    double[] known = Arrays.stream(values).filter(Double::isFinite).sorted().toArray();
    if (known.length == 0) {
      throw new IllegalStateException("nothing is known of " + words);
    }
    return known;
  }
}
