package kelvo.history;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * How a security has behaved over its last 250 sessions.
 *
 * @param giveBack median part of a day's gain over the previous close that was returned by the
 *     close, per cent, over sessions whose high was at least 10% over it; NaN without any
 * @param runs the number of such sessions
 * @param halfReturned how many of them returned half or more
 * @param flatDays sessions in a row, ending with the last, with a range of at most 2% and a volume
 *     of at most half of the mean of the 20 sessions before them
 */
public record PastSessions(double giveBack, int runs, int halfReturned, int flatDays) {
  private static final int SESSIONS = 250;
  private static final double RUN = 10;
  private static final double HALF = 50;
  private static final double FLAT_RANGE = 2;
  private static final int VOLUME_SESSIONS = 20;

  /** The behaviour of a security with some history. */
  public static PastSessions of(DailyHistory history) {
    DailyBarList bars = history.bars();
    double[] returned = new double[Math.min(SESSIONS, bars.size())];
    int runs = 0;
    int half = 0;
    for (int i = Math.max(1, bars.size() - SESSIONS); i < bars.size(); i++) {
      long before = bars.close(i - 1);
      long high = bars.high(i);
      if (100.0 * (high - before) >= RUN * before) {
        returned[runs] = 100.0 * (high - bars.close(i)) / (high - before);
        half += returned[runs++] >= HALF ? 1 : 0;
      }
    }
    return new PastSessions(
        Median.of(Arrays.stream(returned, 0, runs)), runs, half, flatDays(bars));
  }

  private static int flatDays(DailyBarList bars) {
    int narrow = 0;
    while (narrow < bars.size() && isNarrow(bars, bars.size() - 1 - narrow)) {
      narrow++;
    }
    for (int streak = narrow; streak > 0; streak--) {
      if (isQuiet(bars, streak)) {
        return streak;
      }
    }
    return 0;
  }

  private static boolean isNarrow(DailyBarList bars, int i) {
    return 100.0 * (bars.high(i) - bars.low(i)) <= FLAT_RANGE * bars.low(i);
  }

  /** Whether every session of a streak traded at most half of what was usual before it. */
  private static boolean isQuiet(DailyBarList bars, int streak) {
    int start = bars.size() - streak;
    if (start < VOLUME_SESSIONS) {
      return false;
    }
    double usual =
        IntStream.range(start - VOLUME_SESSIONS, start)
            .mapToLong(bars::volume)
            .average()
            .orElse(Double.NaN);
    return IntStream.range(start, bars.size()).allMatch(i -> 2 * bars.volume(i) <= usual);
  }

  /**
   * What came after sessions that rose by a percentage or more.
   *
   * @param share part of the next sessions that closed lower than they opened, per cent; NaN
   *     without any
   * @param sessions how many there were
   */
  public record DayTwo(double share, int sessions) {
    /** The record of a security over all its history. */
    public static DayTwo of(DailyHistory history, double rise) {
      DailyBarList bars = history.bars();
      int sessions = 0;
      int lower = 0;
      for (int i = 1; i + 1 < bars.size(); i++) {
        long before = bars.close(i - 1);
        if (100.0 * (bars.close(i) - before) >= rise * before) {
          sessions++;
          lower += bars.close(i + 1) < bars.open(i + 1) ? 1 : 0;
        }
      }
      return new DayTwo(sessions == 0 ? Double.NaN : 100.0 * lower / sessions, sessions);
    }
  }
}
