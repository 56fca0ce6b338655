package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import kelvo.hit.TestSessions;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.trade.BuyingPower;
import kelvo.trade.Fees;
import org.junit.jupiter.api.Test;

class SizeViewTest {
  private static final long NOW = DayTime.of(10, 0);

  @Test
  void itIsReckonedFromThePriceNowWithTheSpread() {
    Session session = TestSessions.after(List.of("10 10.20 9.80 10 1000"));
    session.tape().quote(NOW - DayTime.SECOND, 0, 99_900, 300, 100_100, 300);
    session.tape().trade(NOW - 1, 0, 100_000, 500, SaleCondition.REGULAR.bit());
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(NOW);
    SizeView.Sizes sizes = sizes(session, replay, 1, Price.parse("9.50"), BOTH);

    assertThat(sizes.entry()).isEqualTo(100_000);
    SizeView.Size size = sizes.all().getFirst();
    assertThat(size.position().shares()).isEqualTo(500);
    assertThat(size.position().breakEven()).isEqualTo(0.02);
    assertThat(size.ofFiveMinutes()).as("as many as were traded").isEqualTo(100);
    assertThat(size.ofFloat()).isEqualTo(0.025);
    assertThat(size.cost()).isEqualTo(5_000);
    assertThat(size.isCut()).isFalse();
  }

  private static final BuyingPower BOTH = BuyingPower.of("margin 4x", "2x");

  private static SizeView.Sizes sizes(
      Session session, TapeReplay replay, int direction, long stop, BuyingPower power) {
    return new SizeView(
            session,
            0,
            new SizeView.Asked(direction, Price.NONE, stop, 0.5, 10_000, 260, Fees.NONE, power))
        .look(new Moment(replay, List.of()))
        .orElseThrow();
  }

  /** A price that was at 9.60 and is at 10, after days of a range of 40 cents. */
  private static Session moved() {
    Session session = TestSessions.after(Collections.nCopies(30, "10 10.20 9.80 10 1000"));
    session
        .tape()
        .trade(DayTime.of(9, 31), 0, Price.parse("9.60"), 500, SaleCondition.REGULAR.bit());
    session.tape().trade(NOW - 1, 0, 100_000, 500, SaleCondition.REGULAR.bit());
    return session;
  }

  @Test
  void withoutAStopTheDaysLowAndTheAverageRangeAreOnes() {
    Session session = moved();
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(NOW);

    SizeView.Sizes sizes = sizes(session, replay, 1, Price.NONE, BOTH);

    assertThat(sizes.all())
        .extracting(SizeView.Size::from)
        .containsExactly("the day's low", "0.5 ATR");
    assertThat(sizes.all())
        .extracting(SizeView.Size::stop)
        .containsExactly(Price.parse("9.60"), Price.parse("9.80"));
    assertThat(sizes.all().getFirst().position().shares()).as("260 / 0.40").isEqualTo(650);
  }

  @Test
  void aShortHasItsStopAboveAndNoMoreThanTheAccountAffords() {
    Session session = moved();
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(NOW);

    SizeView.Sizes none = sizes(session, replay, -1, Price.NONE, BuyingPower.of("cash", "none"));
    SizeView.Size cash =
        sizes(session, replay, 1, Price.parse("9.90"), BuyingPower.of("cash", "none"))
            .all()
            .getFirst();

    assertThat(none.all()).as("the day's high is the price itself").hasSize(1);
    assertThat(none.all().getFirst().stop()).isEqualTo(Price.parse("10.20"));
    assertThat(none.all().getFirst().position().shares()).isZero();
    assertThat(cash.isCut()).isTrue();
    assertThat(cash.position().shares()).as("10,000 / 10").isEqualTo(1_000);
    assertThat(cash.position().loss()).isCloseTo(100, within(1e-9));
  }
}
