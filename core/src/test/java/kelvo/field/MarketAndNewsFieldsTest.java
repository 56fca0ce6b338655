package kelvo.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import kelvo.history.EarlierMinutes;
import kelvo.history.UsualDay;
import kelvo.hit.TestSessions;
import kelvo.news.Catalyst;
import kelvo.replay.TapeReplay;
import kelvo.session.EarlierDays;
import kelvo.session.KnownEvent;
import kelvo.session.Session;
import kelvo.state.FiveMinuteBars;
import kelvo.state.TapedSymbol;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

/** Fields that ask for the market, the calendar, the usual day or the words of news, by hand. */
class MarketAndNewsFieldsTest {
  private static final long TEN = DayTime.of(10, 0);
  private static final int REGULAR = SaleCondition.REGULAR.bit();

  private static double value(Session session, TapedSymbol taped, String words, long now) {
    return FieldCatalogue.number(words).bind(session).at(taped.state(), now);
  }

  /** Every earlier session had 30 prints in each minute, and 60 people talked in each. */
  private static Session usual() {
    double[] minutes = new double[960];
    java.util.Arrays.fill(minutes, 20 * 30.0);
    UsualDay trades = UsualDay.of(1, i -> 20, i -> minutes);
    return TestSessions.of(1, tape -> {})
        .with(new EarlierDays(trades, trades, trades, Map.of(), EarlierMinutes.NONE));
  }

  @Test
  void theTapesSpeedIsOfItsPrintsAMinute() {
    Session session = usual();
    TapedSymbol taped = new TapedSymbol(session);
    for (int i = 0; i < 45; i++) {
      taped.trade(TEN + i * DayTime.SECOND, 100_000, 100, REGULAR);
    }

    assertThat(value(session, taped, "tape speed", TEN + 59 * DayTime.SECOND))
        .isCloseTo(1.5, within(1e-9));
  }

  @Test
  void mentionsAreHeldAgainstTheSameHourOfTheDay() {
    Session session = usual();
    TapedSymbol taped = new TapedSymbol(session);
    assertThat(value(session, taped, "mentions change %", TEN)).isNaN();
    taped.tape().mention(TEN, 0, 2_700);
    taped.state().apply(taped.tape().size() - 1);

    assertThat(value(session, taped, "mentions change %", TEN)).isCloseTo(50, within(1e-9));
  }

  @Test
  void averagesAreMeasuredFrom() {
    Session session = TestSessions.of(1, tape -> {});
    TapedSymbol taped = new TapedSymbol(session);
    for (int i = 0; i < 9; i++) {
      taped.trade(TEN + i * DayTime.MINUTE, 100_000, 100, REGULAR);
    }
    long now = TEN + 8 * DayTime.MINUTE;
    taped.trade(now, 110_000, 100, REGULAR);
    double atr = value(session, taped, "atr 14d", now);
    double ema = value(session, taped, "ema 9", now);

    assertThat(value(session, taped, "extension from ema 9", now))
        .isCloseTo((11 - ema) / atr, within(1e-9));
    double daily = value(session, taped, "ema 20d", now);
    assertThat(value(session, taped, "distance from ema 20d", now))
        .isCloseTo(100 * (11 - daily) / daily, within(1e-9));
  }

  @Test
  void theFiveMinuteCoilIsThatOfTheBars() {
    Session session = TestSessions.of(1, tape -> {});
    TapedSymbol taped = new TapedSymbol(session);
    for (int i = 0; i < 30; i++) {
      taped.trade(TEN + i * 5 * DayTime.MINUTE, 100_000 + i % 2 * 10, 100, REGULAR);
    }
    long now = TEN + 150 * DayTime.MINUTE;
    FiveMinuteBars bars = FiveMinuteBars.of(session).of(taped.state());

    assertThat(value(session, taped, "coil 5m", now)).isEqualTo(bars.now()).isNotNaN();
    assertThat(value(session, taped, "coil 5m bars", now)).isEqualTo(bars.since()).isNotNaN();
    assertThat(value(session, taped, "distribution", now)).isZero();
  }

  @Test
  void newsIsReadForItsSubjectToneAndWeight() {
    Session session = TestSessions.of(1, tape -> {});
    TapedSymbol taped = new TapedSymbol(session);
    Catalyst item =
        new Catalyst(
            TEN, "Harbour Wire", "AAAAAA Works wins record contract", "", List.of("AAAAAA"));
    taped.tape().news(TEN, 0, session.arrived(item));
    taped.state().apply(taped.tape().size() - 1);

    assertThat(value(session, taped, "is subject", TEN)).isEqualTo(1);
    assertThat(value(session, taped, "news tone", TEN))
        .isEqualTo(item.reading().tone())
        .isPositive();
    Field.Word weight = (Field.Word) FieldCatalogue.find("news weight").orElseThrow();
    assertThat(weight.of(taped.state(), TEN)).isEqualTo(item.reading().weight().words());
  }

  /** Twenty days without a mover: their median is 0, and a ratio over it is unknown. */
  @Test
  void moversAreHeldAgainstTheirUsualNumber() {
    Session session =
        TestSessions.of(
            2,
            tape -> {
              move(tape, 0, 115_000);
              move(tape, 1, 101_000);
            });
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(TEN);

    assertThat(FieldCatalogue.number("market movers").bind(session).at(replay.state(1), TEN))
        .isEqualTo(1);
    assertThat(FieldCatalogue.number("market movers ratio").bind(session).at(replay.state(1), TEN))
        .isNaN();
  }

  private static void move(EventTape tape, int security, long price) {
    tape.trade(TEN - 1, security, price, 100, REGULAR);
  }

  @Test
  void theNextEventOfTheWholeMarketIsAwaited() {
    Session plain = TestSessions.of(1, tape -> {});
    Session session =
        new Session(
            plain.hours(),
            plain.phases(),
            plain.securities(),
            List.of(),
            List.of(
                new KnownEvent(TEN + 90 * DayTime.SECOND, "", "rate decision", "Rates"),
                new KnownEvent(TEN + 1, "AAAAAA", "earnings", "Quarter")),
            plain.tape());
    TapedSymbol taped = new TapedSymbol(session);

    assertThat(value(session, taped, "minutes to next event", TEN)).isEqualTo(1);
    assertThat(value(session, taped, "minutes to next event", TEN + DayTime.HOUR)).isNaN();
  }
}
