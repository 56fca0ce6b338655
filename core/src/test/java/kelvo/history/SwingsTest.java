package kelvo.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kelvo.tape.Price;
import org.junit.jupiter.api.Test;

class SwingsTest {
  /** Each price is a bar's high between two lower ones on either side. */
  private static Swings peaks(double... highs) {
    List<DailyBar> bars = new ArrayList<>();
    LocalDate date = LocalDate.of(2031, 1, 6);
    for (double high : highs) {
      for (double top : new double[] {1, 1.5, high, 1.5, 1}) {
        long price = Price.of(top);
        bars.add(new DailyBar(date, price, price, price, price, 1_000, 1));
        date = date.plusDays(1);
      }
    }
    return Swings.of(bars);
  }

  @Test
  void highsOverheadComeNearestFirstAndThoseWithinOnePerCentAreOneResistance() {
    Swings swings = peaks(12, 10, 10.05, 14, 16, 9);

    assertThat(swings.overhead(Price.of(9.5), 3))
        .containsExactly(Price.of(10), Price.of(12), Price.of(14));
    assertThat(swings.overhead(Price.of(15), 3)).containsExactly(Price.of(16));
  }

  @Test
  void aClearSkyHasNoHighs() {
    assertThat(peaks(12, 10).overhead(Price.of(12), 3)).isEmpty();
  }
}
