package kelvo.hit;

import static kelvo.hit.TestSessions.hits;
import static kelvo.hit.TestSessions.scan;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.ArrayList;
import java.util.List;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;

class ScanEngineTest {
  private static final int REGULAR = SaleCondition.REGULAR.bit();

  private static void print(EventTape tape, String time, int security, double price, long shares) {
    tape.trade(DayTime.parse(time), security, Math.round(price * 10_000), shares, REGULAR);
  }

  private static String time(Hit hit) {
    return DayTime.millis(hit.at());
  }

  @Test
  void aSecurityEntersAScanAtTheEventThatMakesItFit() {
    Session session =
        TestSessions.of(
            2,
            tape -> {
              print(tape, "10:00:00.250", 0, 10.30, 100);
              print(tape, "10:00:01.500", 0, 10.60, 100);
              print(tape, "10:00:02", 1, 10.10, 100);
            });

    assertThat(hits(session, scan("risers", List.of(), "change % at least 5%")))
        .extracting(Hit::symbol, ScanEngineTest::time, Hit::trigger)
        .containsExactly(tuple("AAAAAA", "10:00:01.500", Trigger.ENTERS));
  }

  @Test
  void whatASlidingWindowLosesIsFoundAtTheNextWholeSecond() {
    Session session =
        TestSessions.of(
            1,
            tape -> {
              print(tape, "10:00:00.250", 0, 10, 5_000);
              print(tape, "10:30:00", 0, 10, 100);
            });

    assertThat(hits(session, scan("busy", List.of(Trigger.LEAVES), "volume 5m at least 1K")))
        .extracting(ScanEngineTest::time)
        .containsExactly("10:05:01.000");
  }

  @Test
  void whatFitsWhenAWindowOpensEntersAtThatMoment() {
    Session session =
        TestSessions.of(
            1,
            tape -> {
              print(tape, "09:40:00", 0, 11, 100);
              print(tape, "10:10:00", 0, 11, 100);
            });
    var whole = scan("late", List.of(), "change % at least 5%");
    var fromTen =
        new kelvo.scan.Scan(
            "late",
            "",
            kelvo.universe.Universe.EVERYONE,
            DayTime.of(10, 0),
            DayTime.LAST,
            whole.rules(),
            List.of(),
            List.of(),
            whole.fold(),
            whole.side(),
            50,
            List.of(),
            List.of());

    assertThat(hits(session, fromTen))
        .extracting(ScanEngineTest::time)
        .containsExactly("10:00:00.000");
  }

  @Test
  void aPhaseScheduleAsksNothingBeforeItsFirstPhase() {
    Session session =
        TestSessions.of(
            1,
            tape -> {
              print(tape, "05:00:00", 0, 10.5, 100);
              print(tape, "09:31:00", 0, 10.6, 100);
            });

    assertThat(
            hits(
                session,
                scan(
                    "floor",
                    List.of(Trigger.LEAVES),
                    "volume at least 1M opening",
                    "change % at least 1%")))
        .extracting(ScanEngineTest::time)
        .containsExactly("09:30:00.000");
  }

  @Test
  void anUnknownValuePassesOnlyWhenTheRuleSaysSo() {
    Session session = TestSessions.of(1, tape -> print(tape, "10:00:00", 0, 10, 100));

    assertThat(hits(session, scan("strict", List.of(), "ema 50d at least 1"))).isEmpty();
    assertThat(hits(session, scan("lenient", List.of(), "ema 50d at least 1 or unknown")))
        .hasSize(1);
  }

  @Test
  void aTriggerHitsOnlyWhileTheRulesHold() {
    Session session =
        TestSessions.of(
            1,
            tape -> {
              print(tape, "10:00:00", 0, 10.00, 100);
              print(tape, "10:00:01", 0, 10.10, 100);
              print(tape, "10:00:02", 0, 10.60, 100);
              print(tape, "10:00:03", 0, 10.70, 100);
            });

    assertThat(
            hits(session, scan("highs", List.of(Trigger.NEW_HIGH_OF_DAY), "change % at least 5%")))
        .extracting(ScanEngineTest::time)
        .containsExactly("10:00:02.000", "10:00:03.000");
  }

  @Test
  void haltsAndResumptionsHit() {
    Session session =
        TestSessions.of(
            1,
            tape -> {
              print(tape, "10:00:00", 0, 10, 100);
              tape.status(DayTime.parse("10:01:00"), 0, TradingState.HALTED, "LUDP");
              tape.status(DayTime.parse("10:06:00"), 0, TradingState.TRADING, "");
            });

    assertThat(hits(session, scan("halts", List.of(Trigger.HALT, Trigger.RESUME))))
        .extracting(Hit::trigger)
        .containsExactly(Trigger.HALT, Trigger.RESUME);
  }

  @Test
  void aLevelHitsWhenThePricePassesItAfterItWasSet() {
    Session session =
        TestSessions.of(
            1,
            tape -> {
              print(tape, "10:00:00", 0, 10.40, 100);
              print(tape, "10:01:00", 0, 10.60, 100);
              print(tape, "10:02:00", 0, 10.40, 100);
              print(tape, "10:05:00", 0, 10.70, 100);
            });
    List<Hit> hits = new ArrayList<>();
    Level level = Level.standing("AAAAAA", 105_000, LevelKind.BY_HAND, DayTime.parse("10:01:30"));
    ScanEngine.replay(session, new Program(List.of(), List.of(level)), hits::add)
        .runTo(DayTime.LAST);

    assertThat(hits)
        .extracting(ScanEngineTest::time, Hit::trigger)
        .containsExactly(
            tuple("10:02:00.000", Trigger.FALLS_THROUGH_LEVEL),
            tuple("10:05:00.000", Trigger.RISES_THROUGH_LEVEL));
  }

  @Test
  void aFallingTrendLineIsPassedByAPriceThatHardlyMoves() {
    Session session =
        TestSessions.of(
            1,
            tape -> {
              print(tape, "10:00:00", 0, 10.40, 100);
              print(tape, "10:01:00", 0, 10.40, 100);
              print(tape, "10:31:00", 0, 10.41, 100);
              print(tape, "10:32:00", 0, 10.42, 100);
            });
    List<Hit> hits = new ArrayList<>();
    Level line =
        Level.trendLine(
            "AAAAAA",
            DayTime.of(10, 0),
            105_000,
            DayTime.of(11, 0),
            103_000,
            DayTime.parse("10:00:30"));
    ScanEngine.replay(session, new Program(List.of(), List.of(line)), hits::add)
        .runTo(DayTime.LAST);

    assertThat(hits)
        .extracting(ScanEngineTest::time, Hit::trigger)
        .containsExactly(tuple("10:31:00.000", Trigger.RISES_THROUGH_LEVEL));
  }

  @Test
  void aStopMeasuresRiskAndNeverAlerts() {
    Session session =
        TestSessions.of(
            1,
            tape -> {
              print(tape, "10:00:00", 0, 10.40, 100);
              print(tape, "10:01:00", 0, 10.60, 100);
            });
    List<Hit> hits = new ArrayList<>();
    Level stop = Level.standing("AAAAAA", 105_000, LevelKind.STOP, DayTime.FIRST);
    ScanEngine.replay(session, new Program(List.of(), List.of(stop)), hits::add)
        .runTo(DayTime.LAST);

    assertThat(hits).isEmpty();
  }

  @Test
  void aHitKeepsEveryFieldOfItsMoment() {
    Session session =
        TestSessions.of(
            1,
            tape -> {
              print(tape, "10:00:00", 0, 10.40, 100);
              print(tape, "10:00:01", 0, 10.60, 300);
              print(tape, "10:00:02", 0, 19.00, 900);
            });
    Hit hit = hits(session, scan("risers", List.of(), "change % at least 5%")).getFirst();

    assertThat(hit.fields().of("volume")).isEqualTo(400);
    assertThat(hit.fields().of("change %")).isEqualTo(6);
    assertThat(hit.fields().of("float")).isEqualTo(10e6);
    assertThat(hit.fields().of("ema 200d")).isNaN();
  }
}
