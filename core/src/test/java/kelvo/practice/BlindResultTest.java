package kelvo.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import kelvo.history.MinuteBar;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trade.TestFills;
import org.junit.jupiter.api.Test;

class BlindResultTest {
  private static final long TEN = 10 * Price.DOLLAR;

  @Test
  void whatIsHeldCountsAtTheLastPrice() {
    BlindResult result =
        BlindResult.of(List.of(TestFills.fill("09:45 AAAAAA buy 1000 10")), 101_000);

    assertThat(result.position()).isEqualTo(1);
    assertThat(result.made()).isCloseTo(0.01, within(1e-12));
    assertThat(result.words()).isEqualTo("You are long, +1.00% of a position so far.");
  }

  @Test
  void whatWasSoldShortWinsWhatItFalls() {
    BlindResult result =
        BlindResult.of(
            List.of(
                TestFills.fill("09:45 AAAAAA sell 1000 10"),
                TestFills.fill("09:45 AAAAAA buy 1000 9.8")),
            Price.NONE);

    assertThat(result.words()).isEqualTo("Nothing is held, +2.00% of a position so far.");
  }

  @Test
  void withoutAFillNothingIsSaidOfAResult() {
    assertThat(BlindResult.of(List.of(), TEN).words()).isEqualTo("Nothing is held.");
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
