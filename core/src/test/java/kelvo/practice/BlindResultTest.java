package kelvo.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import kelvo.history.MinuteBar;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.TestFills;
import org.junit.jupiter.api.Test;

class BlindResultTest {
  private static final long TEN = 10 * Price.DOLLAR;

  private static BlindResult result(List<Fill> fills, long last) {
    return BlindResult.of(
        new PaperAccount(
            fills,
            List.of(
                new PaperBroker.Working(1, "BBBBBB", -1, 5, new Terms.Stop(1), true),
                new PaperBroker.Working(2, "AAAAAA", -1, 1_000, new Terms.Stop(98_000), true)),
            List.of()),
        "AAAAAA",
        last);
  }

  @Test
  void theEntryIsTheMeanOfWhatIsHeld() {
    List<Fill> fills =
        List.of(
            TestFills.fill("09:31 AAAAAA buy 100 9"),
            TestFills.fill("09:32 AAAAAA sell 200 9.50"),
            TestFills.fill("09:33 AAAAAA sell 100 10"),
            TestFills.fill("09:34 AAAAAA buy 50 9"),
            TestFills.fill("09:35 BBBBBB buy 50 1"));

    BlindResult result = result(fills, TEN);

    // Sold short 100 at 9.50 and 100 at 10; what is bought back changes no mean.
    assertThat(result.position()).isEqualTo(-1);
    assertThat(result.entry()).isCloseTo(9.75, within(1e-9));
    assertThat(result.stop()).isEqualTo(9.8);
  }

  @Test
  void whatIsHeldCountsAtTheLastPrice() {
    BlindResult result = result(List.of(TestFills.fill("09:45 AAAAAA buy 1000 10")), 101_000);

    assertThat(result.position()).isEqualTo(1);
    assertThat(result.made()).isCloseTo(0.01, within(1e-12));
    assertThat(result.words()).isEqualTo("You are long, +1.00% of a position so far.");
  }

  @Test
  void whatWasSoldShortWinsWhatItFalls() {
    BlindResult result =
        result(
            List.of(
                TestFills.fill("09:45 AAAAAA sell 1000 10"),
                TestFills.fill("09:45 AAAAAA buy 1000 9.8")),
            Price.NONE);

    assertThat(result.words()).isEqualTo("Nothing is held, +2.00% of a position so far.");
  }

  @Test
  void withoutAFillNothingIsSaidOfAResult() {
    assertThat(result(List.of(), TEN).words()).isEqualTo("Nothing is held.");
  }

  @Test
  void anOrderIsOfOnePositionWithExitsOnBothSides() {
    assertThat(BlindResult.shares(TEN)).isEqualTo(1_000);
    assertThat(BlindResult.shares(20_000 * Price.DOLLAR)).isEqualTo(1);
    assertThat(BlindResult.exits(TEN, 1, 0.02, 0.04))
        .isEqualTo(new PaperOrder.Exits(98_000, 104_000));
    assertThat(BlindResult.exits(TEN, -1, 0.02, 0.04))
        .isEqualTo(new PaperOrder.Exits(102_000, 96_000));
  }

  @Test
  void barsAreShownAsPercentFromTheFirstClose() {
    BlindBars bars =
        BlindBars.of(
            List.of(
                new MinuteBar(DayTime.of(9, 30), 99_000, 101_000, 98_000, TEN, 500, 10, 10),
                new MinuteBar(DayTime.of(9, 31), TEN, 112_000, TEN, 110_000, 700, 10, 10)));

    assertThat(bars.bars().getLast().close()).isCloseTo(10, within(1e-9));
    assertThat(bars.low()).isCloseTo(-2, within(1e-9));
    assertThat(bars.high()).isCloseTo(12, within(1e-9));
    assertThat(bars.newest(1).percent(9.5)).isCloseTo(-5, within(1e-9));
    assertThat(BlindBars.of(List.of()).low()).isNaN();
  }
}
