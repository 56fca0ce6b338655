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
    return Swings.of(DailyBarList.of(bars));
  }

  @Test
  void highsOverheadComeNearestFirstAndThoseWithinOnePerCentAreOneResistance() {
    Swings swings = peaks(12, 10, 10.05, 14, 16, 9);

    assertThat(swings.overhead(Price.of(9.5), 3))
        .containsExactly(Price.of(10), Price.of(12), Price.of(14));
    assertThat(swings.overhead(Price.of(15), 3)).containsExactly(Price.of(16));
  }

  private static Swings highs(double... highs) {
    List<DailyBar> bars = new ArrayList<>();
    LocalDate date = LocalDate.of(2031, 1, 6);
    for (double high : highs) {
      bars.add(
          new DailyBar(date, Price.of(1), Price.of(high), Price.of(0.5), Price.of(1), 1_000, 1));
      date = date.plusDays(1);
    }
    return Swings.of(DailyBarList.of(bars));
  }

  @Test
  void yesterdaysSpikeIsOverhead() {
    assertThat(highs(9, 9, 9.5, 9, 9, 9.2, 12).overhead(Price.of(10), 3))
        .containsExactly(Price.of(12));
    assertThat(highs(9, 9, 9.5, 9, 9.2, 12, 11).overhead(Price.of(10), 3))
        .as("of the day before yesterday one later bar is enough")
        .containsExactly(Price.of(12));
    assertThat(highs(9, 9, 9.5, 9, 9.2, 11, 12).overhead(Price.of(10), 3))
        .as("a day that was passed the next day is no top")
        .containsExactly(Price.of(12));
  }

  @Test
  void aFlatTopIsOneTop() {
    assertThat(highs(9, 9.1, 12, 12, 12, 9, 9, 9).overhead(Price.of(10), 3))
        .containsExactly(Price.of(12));
    assertThat(highs(9, 9.1, 12, 12, 13, 9, 9, 9).overhead(Price.of(10), 3))
        .as("a stretch that ends higher is none")
        .containsExactly(Price.of(13));
  }

  @Test
  void aClearSkyHasNoHighs() {
    assertThat(peaks(12, 10).overhead(Price.of(12), 3)).isEmpty();
  }
}
