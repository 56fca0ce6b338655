package kelvo.sim;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import kelvo.history.DailyBar;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/**
 * One stock's invented minute bars of one full session. Between the marks that its price passes it
 * goes at random, so that nothing else can be told beforehand.
 *
 * @param rows oldest first; the first of regular hours is that of 09:30, the last that of 15:59
 */
record StockMinutes(List<Row> rows) {
  private static final int FIRST = (int) (DayTime.FIRST / DayTime.MINUTE);
  private static final int OPEN = (int) (SessionHours.OPEN / DayTime.MINUTE);
  private static final int CLOSE = (int) (SessionHours.USUAL_CLOSE / DayTime.MINUTE);
  private static final int LAST = (int) (DayTime.LAST / DayTime.MINUTE);
  private static final int REGULAR_MINUTES = CLOSE - OPEN;
  private static final double PREMARKET_PART = 0.03;
  private static final double WITHIN_A_MINUTE = 0.5;
  private static final int PRINT_SHARES = 170;
  private static final int ROUND = 100;

  /** How much less a price wanders in a minute outside regular hours. */
  private static final double OUTSIDE = 0.25;

  /** A bar. Prices are {@link Price} units. */
  record Row(int minute, long open, long high, long low, long close, long volume) {
    long trades() {
      return Math.max(1, volume / PRINT_SHARES);
    }
  }

  /**
   * Invents them.
   *
   * @param marks prices in dollars at moments of the day, from 04:00 on
   * @param volatility of a whole day between marks
   * @param volume shares of the day, about
   * @param dayPrints how many prints decide in which minutes it trades
   */
  static StockMinutes of(
      SplittableRandom random,
      List<Story.Mark> marks,
      double volatility,
      double volume,
      double dayPrints) {
    List<Integer> minutes = minutes(random, dayPrints);
    double[] walk = walk(random, marks, volatility, minutes);
    List<Story.Mark> shape = InventedMarket.activity(1, PREMARKET_PART);
    double[] weights = new double[minutes.size()];
    double sum = 0;
    for (int i = 0; i < weights.length; i++) {
      double usual = Story.since(shape, minutes.get(i) * DayTime.MINUTE).orElse(0);
      weights[i] = usual * Math.exp(WITHIN_A_MINUTE * random.nextGaussian());
      sum += weights[i];
    }
    double reach = WITHIN_A_MINUTE * volatility / Math.sqrt(REGULAR_MINUTES);
    List<Row> rows = new ArrayList<>();
    for (int i = 0; i < weights.length; i++) {
      int minute = minutes.get(i);
      long open = units(walk[minute - FIRST]);
      long close = units(walk[minute - FIRST + 1]);
      double above = 1 + reach * Math.abs(random.nextGaussian());
      double below = 1 - reach * Math.abs(random.nextGaussian());
      rows.add(
          new Row(
              minute,
              open,
              Math.max(Math.max(open, close), units(Math.max(open, close) * above / Price.DOLLAR)),
              Math.min(Math.min(open, close), units(Math.min(open, close) * below / Price.DOLLAR)),
              close,
              Math.max(ROUND, Math.round(volume * weights[i] / sum / ROUND) * ROUND)));
    }
    return new StockMinutes(rows);
  }

  /**
   * The price at the start of each minute from 04:00 to 20:00, of those in which it trades and
   * those after them: a random walk, bent so that it passes the marks.
   */
  private static double[] walk(
      SplittableRandom random, List<Story.Mark> marks, double volatility, List<Integer> traded) {
    boolean[] asked = new boolean[LAST - FIRST + 1];
    for (int minute : traded) {
      asked[minute - FIRST] = true;
      asked[minute - FIRST + 1] = true;
    }
    double[] walk = new double[LAST - FIRST + 1];
    double step = volatility / Math.sqrt(REGULAR_MINUTES);
    for (int m = 0; m + 1 < marks.size(); m++) {
      int from = minute(marks.get(m)) - FIRST;
      int to = minute(marks.get(m + 1)) - FIRST;
      double start = Math.log(marks.get(m).value());
      double end = Math.log(marks.get(m + 1).value());
      double size = from + FIRST >= OPEN && to + FIRST <= CLOSE ? step : step * OUTSIDE;
      double free = 0;
      int last = from;
      for (int i = from + 1; i <= to; i++) {
        if (asked[i] || i == to) {
          free += size * Math.sqrt(i - last) * random.nextGaussian();
          walk[i] = free;
          last = i;
        }
      }
      for (int i = from; i <= to; i++) {
        if (asked[i]) {
          double part = (i - from) / (double) Math.max(1, to - from);
          double wandered = i == from ? 0 : walk[i] - part * free;
          walk[i] = Math.exp(start + part * (end - start) + wandered);
        }
      }
    }
    return walk;
  }

  private static int minute(Story.Mark mark) {
    return (int) (mark.at() / DayTime.MINUTE);
  }

  /** In which minutes it trades: the first and the last of regular hours, and whichever come. */
  private static List<Integer> minutes(SplittableRandom random, double dayPrints) {
    List<Story.Mark> activity = InventedMarket.activity(dayPrints, PREMARKET_PART);
    List<Integer> minutes = new ArrayList<>();
    for (int mark = 0; mark < activity.size(); mark++) {
      int from = minute(activity.get(mark));
      int to = mark + 1 < activity.size() ? minute(activity.get(mark + 1)) : LAST;
      double traded = 1 - Math.exp(-activity.get(mark).value());
      for (int minute = from; minute < to; minute++) {
        if (minute == OPEN || minute == CLOSE - 1 || random.nextDouble() < traded) {
          minutes.add(minute);
        }
      }
    }
    return minutes;
  }

  /** At the tick, above zero. */
  private static long units(double dollars) {
    long tick = dollars < 1 ? 1 : 100;
    return Math.max(tick, Math.round(dollars * Price.DOLLAR / tick) * tick);
  }

  /** The daily bar that they make: prices of regular hours, volume of the whole day. */
  DailyBar daily(LocalDate date) {
    List<Row> regular =
        rows.stream().filter(row -> row.minute() >= OPEN && row.minute() < CLOSE).toList();
    return new DailyBar(
        date,
        regular.getFirst().open(),
        regular.stream().mapToLong(Row::high).max().orElseThrow(),
        regular.stream().mapToLong(Row::low).min().orElseThrow(),
        regular.getLast().close(),
        rows.stream().mapToLong(Row::volume).sum(),
        rows.stream().mapToLong(Row::trades).sum());
  }
}
