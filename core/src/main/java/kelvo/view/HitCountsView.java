package kelvo.view;

import java.util.List;
import java.util.stream.IntStream;
import kelvo.hit.Hit;
import kelvo.time.DayTime;

/**
 * Counts the hits so far, of which there may be many: a new moment costs no more than its new ones.
 */
public final class HitCountsView implements View<HitCountsView.HitCounts> {
  private static final int MINUTES = (int) ((DayTime.LAST - DayTime.FIRST) / DayTime.MINUTE);

  /**
   * How many hits there are at a moment.
   *
   * @param all in the session so far
   * @param lastMinute in the minute up to now
   * @param byMinute in each minute from 04:00 to 20:00; empty before the first look
   */
  public record HitCounts(int all, int lastMinute, List<Integer> byMinute) {
    /** No hits. */
    public static final HitCounts NONE = new HitCounts(0, 0, List.of());

    /**
     * Hits of the minutes that lie within a span.
     *
     * @param from {@link DayTime}; its whole minute counts
     * @param until likewise
     */
    public int within(long from, long until) {
      int first = Math.max(0, minute(from));
      int end = Math.min(byMinute.size(), minute(until) + 1);
      return IntStream.range(first, end).map(byMinute::get).sum();
    }
  }

  private int program = -1;
  private int counted;
  private int firstOfLastMinute;
  private int[] minutes = new int[MINUTES];

  @Override
  public HitCounts look(Moment moment) {
    List<Hit> hits = moment.hits();
    if (moment.program() != program || hits.size() < counted) {
      program = moment.program();
      minutes = new int[MINUTES];
      counted = 0;
      firstOfLastMinute = 0;
    }
    for (; counted < hits.size(); counted++) {
      int minute = minute(hits.get(counted).at());
      if (minute >= 0 && minute < MINUTES) {
        minutes[minute]++;
      }
    }
    // Time may have gone back without a hit less.
    if (firstOfLastMinute > 0 && hits.get(firstOfLastMinute - 1).at() > minuteAgo(moment)) {
      firstOfLastMinute = 0;
    }
    while (firstOfLastMinute < counted && hits.get(firstOfLastMinute).at() <= minuteAgo(moment)) {
      firstOfLastMinute++;
    }
    return new HitCounts(
        counted, counted - firstOfLastMinute, IntStream.of(minutes).boxed().toList());
  }

  private static long minuteAgo(Moment moment) {
    return moment.now() - DayTime.MINUTE;
  }

  private static int minute(long at) {
    return Math.toIntExact(Math.floorDiv(at - DayTime.FIRST, DayTime.MINUTE));
  }
}
