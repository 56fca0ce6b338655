package kelvo.state;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.LongStream;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

/** The range of the first minutes is that of their eligible prints, whenever one asks. */
class OpeningRangeProperties {
  private static final int MINUTES = 5;
  private static final long END = SessionHours.OPEN + MINUTES * DayTime.MINUTE;

  private record Print(long at, long price, int conditions) {
    boolean belongs() {
      return at >= SessionHours.OPEN && at < END && (conditions & SaleCondition.REGULAR.bit()) != 0;
    }
  }

  @Property(tries = 300)
  void isThatOfThePrintsThatStand(
      @ForAll @Size(max = 80) List<@IntRange(max = 30) Integer> steps,
      @ForAll @IntRange(max = 3) int lateness) {
    TapedSymbol taped = new TapedSymbol(100_000);
    OpeningRange range = new OpeningRange(taped.state().market().session(), MINUTES);
    List<Print> standing = new ArrayList<>();
    long now = SessionHours.OPEN - 2 * DayTime.MINUTE;
    for (int i = 0; i < steps.size(); i++) {
      int step = steps.get(i);
      now += step * DayTime.SECOND;
      Print print =
          new Print(
              now - step % 4 * lateness * 10 * DayTime.SECOND,
              100_000 + (step * 7919 + i * 104_729) % 5_000,
              (step % 5 == 0 ? SaleCondition.ODD_LOT : SaleCondition.REGULAR).bit());
      taped.trade(print.at, print.price, 100, print.conditions, i + 1);
      if (step % 9 == 3) {
        taped.cancel(now, i + 1);
      } else {
        standing.add(print);
      }
      if (step % 3 != 0) {
        assertThat(range.high(taped.state(), now))
            .isEqualTo(prices(standing).max().orElse(Price.NONE));
        assertThat(range.low(taped.state(), now))
            .isEqualTo(prices(standing).min().orElse(Price.NONE));
      }
    }
  }

  private static LongStream prices(List<Print> prints) {
    return prints.stream().filter(Print::belongs).mapToLong(Print::price);
  }
}
