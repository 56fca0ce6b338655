package kelvo.chart;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.history.MinuteBar;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import org.junit.jupiter.api.Test;

class GroupedBarsTest {
  private static MinuteBar bar(int hour, int minute, long open, long high, long low, long close) {
    return new MinuteBar(DayTime.of(hour, minute), open, high, low, close, 100, close / 1e4, 1);
  }

  private static final List<MinuteBar> BARS =
      List.of(
          bar(9, 28, 50_000, 50_500, 49_900, 50_100),
          bar(9, 30, 50_200, 51_000, 50_100, 50_900),
          bar(9, 33, 50_900, 52_000, 50_800, 51_500),
          bar(9, 36, 51_500, 51_600, 50_000, 50_300));

  @Test
  void fiveMinutesHoldTheExtremesAndTheSumOfTheirMinutes() {
    List<MinuteBar> grouped = GroupedBars.of(BARS, 5, start -> true);

    assertThat(grouped)
        .extracting(MinuteBar::start)
        .containsExactly(DayTime.of(9, 25), DayTime.of(9, 30), DayTime.of(9, 35));
    MinuteBar middle = grouped.get(1);
    assertThat(middle.open()).isEqualTo(50_200);
    assertThat(middle.high()).isEqualTo(52_000);
    assertThat(middle.low()).isEqualTo(50_100);
    assertThat(middle.close()).isEqualTo(51_500);
    assertThat(middle.volume()).isEqualTo(200);
    assertThat(middle.vwap()).isEqualTo(5.15);
  }

  @Test
  void extendedHoursCanBeLeftOut() {
    assertThat(GroupedBars.of(BARS, 1, start -> start >= SessionHours.OPEN)).hasSize(3);
  }
}
