package kelvo.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import kelvo.history.UsualDay;
import kelvo.hit.TestSessions;
import kelvo.session.EarlierDays;
import kelvo.session.Session;
import kelvo.state.TapedSymbol;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

/** Fields of earlier sessions and of what is usual, by hand-worked bars and prints. */
class PriorDayFieldsTest {
  private static final int REGULAR = SaleCondition.REGULAR.bit();
  private static final int EXTENDED = SaleCondition.EXTENDED.bit();
  private static final long NOW = DayTime.of(10, 0);

  /** Twenty flat days at 10, then bars such as "open high low close volume". */
  private static Session session(String... last) {
    List<String> bars = new ArrayList<>(java.util.Collections.nCopies(20, "10 10.20 9.80 10 1000"));
    bars.addAll(List.of(last));
    return TestSessions.after(bars);
  }

  private static double value(TapedSymbol taped, String words) {
    return FieldCatalogue.number(words)
        .bind(taped.state().market().session())
        .at(taped.state(), NOW);
  }

  @Test
  void theSessionBeforeHasItsHighLowCloseAndVolume() {
    TapedSymbol taped = new TapedSymbol(session("10 12 9 11.25 3500"));

    assertThat(value(taped, "prior-day high")).isEqualTo(12);
    assertThat(value(taped, "prior-day low")).isEqualTo(9);
    assertThat(value(taped, "prior-day close")).isEqualTo(11.25);
    assertThat(value(taped, "prior-day range")).isEqualTo(3);
    assertThat(value(taped, "prior-day change %")).isCloseTo(12.5, within(1e-9));
    assertThat(value(taped, "prior-day relative volume")).isCloseTo(3.5, within(1e-9));
    assertThat(value(taped, "prior-day close position")).isCloseTo(0.75, within(1e-9));
    assertThat(value(taped, "prior-day trades")).isEqualTo(100);
    assertThat(value(taped, "high since listing")).isEqualTo(12);
    assertThat(value(taped, "low since listing")).isEqualTo(9);
  }

  @Test
  void withoutEnoughSessionsTheyAreUnknown() {
    TapedSymbol twenty = new TapedSymbol(session());

    assertThat(value(twenty, "prior-day relative volume")).isNaN();
    assertThat(value(twenty, "change 20d %")).isZero();
    assertThat(value(twenty, "change 21d %")).isNaN();
  }

  @Test
  void theChangeOverDaysIsAgainstTheCloseThatManySessionsAgo() {
    TapedSymbol taped =
        new TapedSymbol(session("9 12 7 8 1", "9 12 7 8.5 1", "9 12 7 9 1", "9 12 7 8.8 1"));
    taped.trade(NOW, Price.of(11), 100, REGULAR);

    assertThat(value(taped, "change 1d %")).isCloseTo(100 * (11 - 8.8) / 8.8, within(1e-9));
    assertThat(value(taped, "change 2d %")).isCloseTo(100 * (11 - 9) / 9.0, within(1e-9));
    assertThat(value(taped, "change 5d %")).isCloseTo(10, within(1e-9));
  }

  @Test
  void daysInARowEndYesterday() {
    TapedSymbol up = new TapedSymbol(session("9 12 7 9 1", "9 12 7 9.1 1", "9 12 7 9.2 1"));
    assertThat(value(up, "days up")).isEqualTo(2);
    assertThat(value(up, "days down")).isZero();
    TapedSymbol down = new TapedSymbol(session("9 12 7 9 1", "9 12 7 8 1", "9 12 7 7 1"));
    assertThat(value(down, "days down")).isEqualTo(3);
    assertThat(value(new TapedSymbol(session()), "days up")).as("unchanged").isZero();
  }

  @Test
  void aFallOfTenPerCentRestrictsShortSalesThatDayAndTheNext() {
    TapedSymbol calm = new TapedSymbol(session());
    calm.trade(NOW - 2, Price.of(9.01), 100, REGULAR);
    assertThat(value(calm, "short sale restricted")).isZero();
    calm.trade(NOW - 1, Price.of(9.00), 100, REGULAR);
    calm.trade(NOW, Price.of(10.00), 100, REGULAR);
    assertThat(value(calm, "short sale restricted")).isEqualTo(1);

    assertThat(value(new TapedSymbol(session("10 10 9 9.9 1")), "short sale restricted"))
        .isEqualTo(1);
    assertThat(
            value(
                new TapedSymbol(session("10 10 9 9.9 1", "9.9 10 9.5 10 1")),
                "short sale restricted"))
        .as("the day after that it is over")
        .isZero();
  }

  @Test
  void theQuoteInForceHasSizes() {
    TapedSymbol taped = new TapedSymbol(session());
    assertThat(value(taped, "bid size")).isNaN();
    taped.quote(NOW, Price.of(9.99), 300, Price.of(10.01), 700);

    assertThat(value(taped, "bid size")).isEqualTo(300);
    assertThat(value(taped, "ask size")).isEqualTo(700);
  }

  @Test
  void moneyBeforeTheOpen() {
    TapedSymbol taped = new TapedSymbol(session());
    taped.trade(DayTime.of(8, 0), Price.of(10), 300, EXTENDED);
    taped.trade(DayTime.of(9, 0), Price.of(11), 100, EXTENDED);
    taped.trade(NOW, Price.of(12), 1_000, REGULAR);

    assertThat(value(taped, "premarket dollar volume")).isEqualTo(4_100);
    assertThat(value(taped, "dollar volume")).isEqualTo(16_100);
  }

  /** 100 shares a minute from 09:30 to 16:00 usually, 39,000 a day; 3,000 of them by ten. */
  @Test
  void theVolumeOfTheDayIsProjectedFromWhatIsUsualByNow() {
    double[] minutes = new double[960];
    for (int minute = 330; minute < 720; minute++) {
      minutes[minute] = 20 * 100;
    }
    Session usual = session().with(EarlierDays.ofVolume(UsualDay.of(1, i -> 20, i -> minutes)));
    TapedSymbol taped = new TapedSymbol(usual);
    taped.trade(NOW - 30 * DayTime.SECOND, Price.of(10), 6_000, REGULAR);

    assertThat(value(taped, "relative volume")).isCloseTo(2, within(1e-9));
    assertThat(value(taped, "projected volume")).isCloseTo(78_000, within(1e-6));
    assertThat(value(taped, "projected relative volume")).isCloseTo(78, within(1e-9));
    assertThat(value(taped, "volume burst")).isCloseTo(12, within(1e-9));
    assertThat(value(taped, "volume burst 1m")).isCloseTo(60, within(1e-9));
  }
}
