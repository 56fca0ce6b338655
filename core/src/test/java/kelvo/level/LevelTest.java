package kelvo.level;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

/** Levels that stand still and lines that do not, worked by hand. */
class LevelTest {
  @Test
  void aTrendLineGoesThroughItsTwoPointsAndOn() {
    Level line =
        Level.trendLine(
            "TIDARC", DayTime.of(8, 0), 80_000, DayTime.of(9, 0), 86_000, DayTime.of(9, 30));

    assertThat(line.rise()).isEqualTo(6_000);
    assertThat(line.price()).isEqualTo(89_000);
    assertThat(line.priceAt(DayTime.of(8, 0))).isEqualTo(80_000);
    assertThat(line.priceAt(DayTime.of(9, 0))).isEqualTo(86_000);
    assertThat(line.priceAt(DayTime.of(10, 30))).isEqualTo(95_000);
    assertThat(line.distancePercent(100_000, DayTime.of(10, 30))).isEqualTo(-5);
  }

  @Test
  void aPriceIsTheSameAtAnyTime() {
    Level level = Level.standing("TIDARC", 82_000, LevelKind.BY_HAND, DayTime.of(8, 0));

    assertThat(level.priceAt(DayTime.of(19, 0))).isEqualTo(82_000);
  }

  @Test
  void aFallingLineNeverReachesZero() {
    Level line =
        Level.trendLine(
            "TIDARC", DayTime.of(8, 0), 80_000, DayTime.of(9, 0), 40_000, DayTime.of(9, 0));

    assertThat(line.priceAt(DayTime.of(12, 0))).isEqualTo(1);
  }

  @Test
  void whatIsNoLineIsRefusedWithAReason() {
    assertThatThrownBy(
            () ->
                Level.trendLine(
                    "TIDARC", DayTime.of(8, 0), 80_000, DayTime.of(8, 0), 1, DayTime.of(9, 0)))
        .hasMessageContaining("two points of different times");
    assertThatThrownBy(() -> new Level("TIDARC", 80_000, LevelKind.STOP, 0, 1, 5))
        .hasMessageContaining("only a trend line rises");
  }
}
