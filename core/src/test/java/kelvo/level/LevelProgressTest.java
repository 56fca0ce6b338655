package kelvo.level;

import static org.assertj.core.api.Assertions.assertThat;

import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class LevelProgressTest {
  private static final long LEVEL = 100_000;
  private final LevelProgress progress = new LevelProgress();
  private long now = DayTime.of(10, 0);

  private int next(long price, long lastMinute) {
    now += DayTime.SECOND;
    return progress.next(price, LEVEL, now, lastMinute);
  }

  @Test
  void touchesFromTheSideItCameFromAndOnceOnly() {
    assertThat(next(99_900, 0)).isZero();
    assertThat(next(100_000, 0)).isEqualTo(LevelProgress.TOUCHED_FROM_BELOW);
    assertThat(next(99_990, 0)).isZero();
    assertThat(next(100_000, 0)).isZero();
  }

  @Test
  void touchesAgainAfterATenthOfAPerCentOrAMinute() {
    next(100_100, 0);
    assertThat(next(100_000, 0)).isEqualTo(LevelProgress.TOUCHED_FROM_ABOVE);
    assertThat(next(100_100, 0)).isZero();
    assertThat(next(100_000, 0)).isEqualTo(LevelProgress.TOUCHED_FROM_ABOVE);
    next(100_010, 0);
    now += DayTime.MINUTE;
    next(100_010, 0);
    assertThat(next(100_000, 0)).isEqualTo(LevelProgress.TOUCHED_FROM_ABOVE);
  }

  @Test
  void retestsOnlyAfterHavingBeenAway() {
    next(99_500, 900);
    assertThat(next(100_300, 900)).isEqualTo(LevelProgress.ROSE);
    assertThat(next(100_100, 900)).isZero();
    assertThat(next(101_000, 900)).isZero();
    assertThat(next(100_300, 900)).isZero();
    assertThat(next(100_200, 900)).isEqualTo(LevelProgress.RETESTED_FROM_ABOVE);
    assertThat(next(100_100, 900)).isZero();
  }

  @Test
  void aRetestOnLessVolumeThanTheBreakIsQuiet() {
    next(100_500, 900);
    assertThat(next(99_700, 5_000)).isEqualTo(LevelProgress.FELL);
    next(98_900, 5_000);
    assertThat(next(99_900, 400))
        .isEqualTo(LevelProgress.RETESTED_FROM_BELOW | LevelProgress.QUIETLY);
  }

  @Test
  void aLeapOverTheLevelPassesItWithoutATouch() {
    next(99_000, 0);
    assertThat(next(101_000, 0)).isEqualTo(LevelProgress.ROSE);
  }
}
