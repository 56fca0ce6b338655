package kelvo.session;

import java.util.List;
import java.util.Map;
import kelvo.history.EarlierMinutes;
import kelvo.history.UsualDay;

/**
 * What the minutes of earlier sessions tell beforehand.
 *
 * @param volume how much each security usually trades by a time of day
 * @param trades how many prints it usually has by a time of day
 * @param mentions how many people usually talk of it by a time of day
 * @param vwaps the VWAP of earlier days as levels by the number of the security, newest day first
 * @param minutes the evening before, and prices at news
 */
public record EarlierDays(
    UsualDay volume,
    UsualDay trades,
    UsualDay mentions,
    Map<Integer, List<ReferenceLevel>> vwaps,
    EarlierMinutes minutes) {
  /** Nothing is known of earlier minutes. */
  public static final EarlierDays NONE =
      new EarlierDays(UsualDay.NONE, UsualDay.NONE, UsualDay.NONE, Map.of(), EarlierMinutes.NONE);

  public EarlierDays {
    vwaps = Map.copyOf(vwaps);
  }

  /** Nothing is known but how much is usually traded. */
  public static EarlierDays ofVolume(UsualDay volume) {
    return new EarlierDays(volume, UsualDay.NONE, UsualDay.NONE, Map.of(), EarlierMinutes.NONE);
  }
}
