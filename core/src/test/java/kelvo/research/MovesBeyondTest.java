package kelvo.research;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.IntStream;
import kelvo.explain.CutCurve;
import kelvo.field.FieldCatalogue;
import kelvo.hit.RandomSessions;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.replay.TapeReplay;
import kelvo.rule.Bound;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.scan.Matches;
import kelvo.scan.Scan;
import kelvo.scan.ScanCheck;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.universe.Universe;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class MovesBeyondTest {
  private static final int SECURITIES = 40;
  private static final long MOMENT = DayTime.of(11, 0);

  private static TapeReplay playedTo(Session session, long moment) {
    TapeReplay engine = new TapeReplay(session);
    engine.runTo(moment);
    return engine;
  }

  private static RecordedMoment recorded(Session session, Scan scan) {
    return RecordedMoment.of(session, MOMENT, MovesBeyond.fields(scan), Progress.NONE);
  }

  private static Scan scan(String... rules) {
    return TestSessions.scan("asked", List.of(), rules);
  }

  /** A recorded moment answers a scan as the engine does that plays the session to it. */
  @Property(tries = 25)
  void aRecordedMomentFitsAScanAsTheSessionDid(@ForAll long seed) {
    Session session = RandomSessions.of(seed, SECURITIES, 6_000);
    Scan plain =
        scan(
            "kind is common stock",
            "trades at least 1 early, 20 morning",
            "price above vwap or unknown",
            "volume at least 0.5x premarket volume",
            "volume 5m at least 500");
    Scan grouped =
        new Scan(
            plain.name(),
            plain.purpose(),
            plain.universe(),
            plain.from(),
            plain.to(),
            plain.rules(),
            List.of(
                rules("change % at least 1%", "change % at most -1%", "kind is not common stock")),
            plain.triggers(),
            plain.fold(),
            plain.side(),
            plain.limit(),
            plain.sort(),
            plain.columns());
    Scan within =
        grouped.within(
            new Universe(
                "few",
                rules("previous close at least 5"),
                Set.of(session.security(0).symbol()),
                Set.of(session.security(1).symbol()),
                null));
    TapeReplay engine = playedTo(session, MOMENT);
    for (Scan asked : List.of(plain, grouped, within)) {
      RecordedMoment then = recorded(session, asked);
      ScanCheck check = new ScanCheck(asked, session);
      int phase = session.phases().indexAt(MOMENT);
      for (int i = 0; i < SECURITIES; i++) {
        assertThat(
                new ScanCheck(asked, then)
                    .holds(then.settled(i), then.moment(), then.phases().indexAt(then.moment())))
            .as("security %d", i)
            .isEqualTo(check.holds(engine.state(i), MOMENT, phase));
      }
    }
  }

  private static List<Rule> rules(String... sentences) {
    return Arrays.stream(sentences).map(s -> RuleSentence.parse(s, Vocabulary.DEFAULT)).toList();
  }

  /** Counted again with the scan whose bound is moved, and with the prices at both moments. */
  @Property(tries = 25)
  void countsAndMediansAreThoseOfTheScanWithThatBound(@ForAll long seed, @ForAll boolean atMost) {
    Session session = RandomSessions.of(seed, SECURITIES, 8_000);
    String rule = atMost ? "change % at most 0%" : "change % at least 0%";
    Scan scan = scan("trades at least 30", rule);
    TapeReplay engine = playedTo(session, MOMENT);
    CutCurve curve =
        Objects.requireNonNull(CutCurve.of(session, scan, 1, engine::state, engine.clock()));

    MovesBeyond moves = MovesBeyond.of(scan, curve, List.of(recorded(session, scan)));

    double[] prices = prices(engine);
    engine.runTo(session.hours().close());
    double[] closes = closes(engine);
    TapeReplay again = playedTo(session, MOMENT);
    assertThat(moves.bounds()).isSorted().contains(moves.bound());
    assertThat(moves.bound()).isZero();
    for (int i = 0; i < moves.bounds().length; i++) {
      double bound = moves.bounds()[i];
      Scan moved =
          scan.withRules(
              List.of(
                  scan.rules().getFirst(),
                  scan.rules().get(1).withBound(0, new Bound.Amount(bound, bound + "%"))));
      double[] sorted =
          new Matches(moved, session)
              .at(again::state, MOMENT).stream()
                  .mapToInt(Matches.Row::security)
                  .mapToDouble(s -> 100 * (closes[s] - prices[s]) / prices[s])
                  .filter(move -> !Double.isNaN(move))
                  .sorted()
                  .toArray();
      assertThat(moves.counts()[i]).isEqualTo(sorted.length);
      if (sorted.length < MovesBeyond.MIN) {
        assertThat(moves.medians()[i]).isNaN();
      } else {
        double middle = (sorted[(sorted.length - 1) / 2] + sorted[sorted.length / 2]) / 2;
        assertThat(moves.medians()[i]).isCloseTo(middle, within(1e-9));
      }
    }
  }

  private static double[] prices(TapeReplay engine) {
    return IntStream.range(0, SECURITIES)
        .mapToDouble(i -> engine.state(i).lastPrice())
        .map(price -> price == 0 ? Double.NaN : price)
        .toArray();
  }

  private static double[] closes(TapeReplay engine) {
    return IntStream.range(0, SECURITIES)
        .mapToDouble(
            i ->
                engine.state(i).officialClose() != 0
                    ? engine.state(i).officialClose()
                    : engine.state(i).lastPrice())
        .toArray();
  }

  @Test
  void aBoundBetweenCountedOnesGoesToItsFarSide() {
    double[] bounds = {1, 2, 4};
    MovesBeyond atLeast =
        new MovesBeyond(0, false, 1, bounds, new int[3], new double[3], 1, MOMENT);
    MovesBeyond atMost = new MovesBeyond(0, true, 1, bounds, new int[3], new double[3], 1, MOMENT);

    assertThat(IntStream.of(atLeast.placeOf(0), atLeast.placeOf(2), atLeast.placeOf(3)))
        .containsExactly(0, 1, 2);
    assertThat(atLeast.placeOf(5)).isEqualTo(-1);
    assertThat(IntStream.of(atMost.placeOf(9), atMost.placeOf(2), atMost.placeOf(3)))
        .containsExactly(2, 1, 1);
    assertThat(atMost.placeOf(0)).isEqualTo(-1);
  }

  @Test
  void nothingIsLeftToAskAtTheCloseAndUnknownFieldsAreSaid() {
    Session session = RandomSessions.of(3, 4, 200);
    assertThatThrownBy(
            () -> RecordedMoment.of(session, session.hours().close(), List.of(), Progress.NONE))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("close");
    RecordedMoment price =
        RecordedMoment.of(session, MOMENT, List.of(FieldCatalogue.number("price")), Progress.NONE);
    assertThat(price.knows(List.of(FieldCatalogue.number("price")))).isTrue();
    assertThat(price.knows(List.of(FieldCatalogue.number("volume")))).isFalse();
  }
}
