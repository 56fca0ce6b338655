package kelvo.desktop.shell;

import java.util.List;
import kelvo.hit.Hit;
import kelvo.time.DayTime;

/** What the day rail counts. */
final class RailMarks {
  static final int MINUTES = (int) ((DayTime.LAST - DayTime.FIRST) / DayTime.MINUTE);

  private RailMarks() {}

  /** Hits in each minute since 04:00. */
  static int[] hitsByMinute(List<Hit> hits) {
    int[] counts = new int[MINUTES];
    for (Hit hit : hits) {
      int minute = (int) ((hit.at() - DayTime.FIRST) / DayTime.MINUTE);
      if (minute >= 0 && minute < MINUTES) {
        counts[minute]++;
      }
    }
    return counts;
  }
}
