package kelvo.history;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import java.util.function.IntUnaryOperator;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * How much each security usually trades, or is talked of, by a time of day: the mean of what each
 * minute of earlier full sessions counted, in today's shares. A minute without a count is zero;
 * within a minute the mean is interpolated. Immutable.
 */
public final class UsualDay {
  /** Nothing is known of any security. */
  public static final UsualDay NONE = new UsualDay(List.of());

  /** How many sessions the mean is taken over. */
  public static final int SESSIONS = 20;

  /** How many there must be at least. */
  public static final int MIN_SESSIONS = 10;

  /** The minutes of a session's day. */
  public static final int MINUTES = (int) ((DayTime.LAST - DayTime.FIRST) / DayTime.MINUTE);

  /** A security of which nothing was counted in any session. */
  private static final double[] SILENCE = new double[MINUTES + 1];

  private final List<double @Nullable []> upToMinute;

  /** The means as {@link #upToMinute} tells them. */
  public UsualDay(List<double @Nullable []> upToMinute) {
    this.upToMinute = upToMinute;
  }

  /**
   * By security, the mean count from 04:00 to the start of each minute, and to 20:00 as the last;
   * null when unknown. Not to be changed.
   */
  public List<double @Nullable []> upToMinute() {
    return upToMinute;
  }

  /**
   * The history of some sessions.
   *
   * @param securities how many securities there are
   * @param sessions by security, how many sessions count: those read since its first day; with
   *     fewer than {@link #MIN_SESSIONS} nothing is known of it
   * @param sums by security, the count of each minute from 04:00 on, in today's shares, summed over
   *     those sessions; null for a security that nothing was counted of
   */
  public static UsualDay of(
      int securities, IntUnaryOperator sessions, IntFunction<double @Nullable []> sums) {
    List<double @Nullable []> means = new ArrayList<>(securities);
    for (int i = 0; i < securities; i++) {
      int counted = sessions.applyAsInt(i);
      double[] minutes = sums.apply(i);
      means.add(
          counted < MIN_SESSIONS ? null : minutes == null ? SILENCE : cumulative(minutes, counted));
    }
    return new UsualDay(means);
  }

  private static double[] cumulative(double[] minutes, int sessions) {
    double[] upTo = new double[MINUTES + 1];
    double sum = 0;
    for (int i = 0; i < MINUTES; i++) {
      sum += i < minutes.length ? minutes[i] : 0;
      upTo[i + 1] = sum / sessions;
    }
    return upTo;
  }

  /** Mean count from 04:00 to a moment; NaN when unknown. */
  public double meanUpTo(int security, long moment) {
    double[] upTo = security < upToMinute.size() ? upToMinute.get(security) : null;
    if (upTo == null) {
      return Double.NaN;
    }
    long since = Math.clamp(moment - DayTime.FIRST, 0, DayTime.LAST - DayTime.FIRST);
    int minute = (int) (since / DayTime.MINUTE);
    if (minute == MINUTES) {
      return upTo[MINUTES];
    }
    double part = since % DayTime.MINUTE / (double) DayTime.MINUTE;
    return upTo[minute] + part * (upTo[minute + 1] - upTo[minute]);
  }

  /** Mean count of (moment - span, moment]; NaN when unknown. */
  public double meanOf(long span, int security, long moment) {
    return meanUpTo(security, moment) - meanUpTo(security, moment - span);
  }
}
