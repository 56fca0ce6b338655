package kelvo.chart;

import static org.assertj.core.api.Assertions.assertThat;

import kelvo.level.Level;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class DayScaleTest {
  private final DayScale scale = new DayScale(10);

  @Test
  void todayIsAsWideAsRegularHours() {
    assertThat(scale.momentAt(10)).isEqualTo(DayTime.of(9, 30));
    assertThat(scale.momentAt(11)).isEqualTo(DayTime.of(16, 0));
    assertThat(scale.momentAt(10.5)).isEqualTo(DayTime.of(12, 45));
  }

  @Test
  void aLineThroughTwoBarsGoesOnThroughToday() {
    long now = DayTime.of(9, 30);
    Level line =
        Level.trendLine(
            "KELPOR",
            scale.momentAt(4),
            Price.parse("8.00"),
            scale.momentAt(8),
            Price.parse("8.40"),
            now);

    assertThat(Price.text(line.priceAt(scale.momentAt(10)))).isEqualTo("8.60");
    assertThat(Price.text(line.priceAt(DayTime.of(16, 0)))).isEqualTo("8.70");
    assertThat(Price.text(line.priceAt(scale.momentAt(4)))).isEqualTo("8.00");
  }
}
