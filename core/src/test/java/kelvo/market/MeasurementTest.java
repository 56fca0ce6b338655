package kelvo.market;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.time.DayTime;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

class MeasurementTest {
  private static MinuteBar bar(int minute, long volume) {
    return new MinuteBar(DayTime.of(9, minute), 1, 1, 1, 1, volume, 1, 1);
  }

  private static final List<MinuteBar> BARS = List.of(bar(30, 100), bar(31, 200), bar(32, 400));

  @Test
  void sharesAreThoseOfTheMinutesThatTheStretchTouches() {
    long from = DayTime.of(9, 31) + 1;

    assertThat(Measurement.of(BARS, from, DayTime.of(9, 32), 4, 5).shares()).isEqualTo(600);
    assertThat(Measurement.of(BARS, from, from, 4, 5).shares()).isEqualTo(200);
  }

  @Test
  void aFallMeasuredBackwardKeepsItsSignAndHasTime() {
    Measurement fall = Measurement.of(BARS, DayTime.of(9, 32), DayTime.of(9, 30), 5, 4);

    assertThat(fall.dollars()).isEqualTo(-1);
    assertThat(fall.percent()).isCloseTo(-20, Offset.offset(1e-9));
    assertThat(fall.nanos()).isEqualTo(2 * DayTime.MINUTE);
  }
}
