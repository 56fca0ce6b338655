package kelvo.explain;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.hit.RandomSessions;
import kelvo.hit.TestSessions;
import kelvo.replay.TapeReplay;
import kelvo.rule.Amounts;
import kelvo.rule.Bound;
import kelvo.rule.Rule;
import kelvo.scan.Matches;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class CutCurveTest {
  private static final int SECURITIES = 40;

  private static TapeReplay engine(Session session) {
    TapeReplay engine = new TapeReplay(session);
    engine.runTo(DayTime.of(11, 0));
    return engine;
  }

  @Property(tries = 30)
  void whatIsLeftAtABoundIsWhatTheScanFindsWithThatBound(
      @ForAll long seed, @ForAll @DoubleRange(min = -5, max = 5) double bound) {
    Session session = RandomSessions.of(seed, SECURITIES, 8_000);
    TapeReplay engine = engine(session);
    Scan scan = TestSessions.scan("cut", List.of(), "trades at least 40", "change % at least 0.5%");
    Rule moved = scan.rules().get(1).withBound(0, new Bound.Amount(bound, bound + "%"));
    Scan other = scan.withRules(List.of(scan.rules().getFirst(), moved));

    CutCurve curve = CutCurve.of(session, scan, 1, engine::state, engine.clock());

    assertThat(curve).isNotNull();
    assertThat(curve.left(bound, Double.POSITIVE_INFINITY))
        .isEqualTo(new Matches(other, session).at(engine::state, engine.clock()).size());
    assertThat(curve.left())
        .isEqualTo(new Matches(scan, session).at(engine::state, engine.clock()).size());
  }

  @Test
  void aRuleOnWordsOrFlagsHasNoCurve() {
    Session session = RandomSessions.of(1, SECURITIES, 2_000);
    TapeReplay engine = engine(session);
    Scan scan = TestSessions.scan("none", List.of(), "kind is common stock", "price above vwap");

    assertThat(CutCurve.of(session, scan, 0, engine::state, engine.clock())).isNull();
    assertThat(CutCurve.of(session, scan, 1, engine::state, engine.clock())).isNull();
  }

  @Test
  void aScheduleIsCutAtTheBoundInForce() {
    Session session = RandomSessions.of(1, SECURITIES, 8_000);
    TapeReplay engine = engine(session);
    Scan scan = TestSessions.scan("steps", List.of(), "trades at least 1 early, 50 morning");

    CutCurve curve = CutCurve.of(session, scan, 0, engine::state, engine.clock());

    assertThat(curve).isNotNull();
    assertThat(curve.step()).isEqualTo(1);
    assertThat(curve.low()).isEqualTo(50);
  }

  @Property
  void aBoundWrittenInWordsReadsBackWithinItsRounding(
      @ForAll @DoubleRange(min = 1, max = 5e9) double value) {
    for (kelvo.field.Unit unit :
        new kelvo.field.Unit[] {
          kelvo.field.Unit.SHARES, kelvo.field.Unit.PRICE, kelvo.field.Unit.PERCENT
        }) {
      String words = Amounts.words(value, unit).toLowerCase(java.util.Locale.ROOT);
      assertThat(Amounts.parse(words, unit)).as(words).isPresent();
      assertThat(Amounts.parse(words, unit).getAsDouble() / value).isBetween(0.94, 1.06);
    }
  }
}
