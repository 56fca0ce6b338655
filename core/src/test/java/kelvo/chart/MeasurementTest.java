package kelvo.chart;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import kelvo.history.DailyBar;
import kelvo.history.MinuteBar;
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

    assertThat(Measurement.ofMinutes(BARS, from, DayTime.of(9, 32), 4, 5).shares()).isEqualTo(600);
    assertThat(Measurement.ofMinutes(BARS, from, from, 4, 5).shares()).isEqualTo(200);
  }

  @Test
  void aFallMeasuredBackwardKeepsItsSignAndHasTime() {
    Measurement fall = Measurement.ofMinutes(BARS, DayTime.of(9, 32), DayTime.of(9, 30), 5, 4);

    assertThat(fall.dollars()).isEqualTo(-1);
    assertThat(fall.percent()).isCloseTo(-20, Offset.offset(1e-9));
    assertThat(fall.length()).isEqualTo("0:02 h");
  }

  @Test
  void overDaysSessionsAreCountedAndTheSharesOfBothEndsToo() {
    List<DailyBar> days = List.of(day(10, 1_000), day(11, 2_000), day(12, 4_000));

    Measurement rise = Measurement.ofDays(days, 2, 1, 4, 5);

    assertThat(rise.length()).isEqualTo("1 session");
    assertThat(rise.shares()).isEqualTo(6_000);
    assertThat(rise.percent()).isCloseTo(25, Offset.offset(1e-9));
    assertThat(Measurement.ofDays(days, -3, 9, 4, 5).length()).isEqualTo("2 sessions");
  }

  private static DailyBar day(int day, long volume) {
    return new DailyBar(LocalDate.of(2031, 3, day), 1, 1, 1, 1, volume, 1);
  }
}
