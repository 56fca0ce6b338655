package kelvo.sim;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import kelvo.history.DailyBar;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.TradingCalendar;

/**
 * What is usual for a stock by time of day: of some sessions before the demo's, a bar in every
 * fifth minute in which a stock trades. It says as much of volumes as bars of every minute would,
 * and takes a fiftieth of the time in which prints could be invented.
 */
final class UsualMinutes {
  private static final long STEP = 5 * DayTime.MINUTE;
  private static final double PREMARKET_PART = 0.03;
  private static final double NOISE = 0.4;
  private static final int PRINT_SHARES = 170;

  /** Fewer shares than this in five minutes are none. */
  private static final int LEAST = 100;

  private final long seed;
  private final List<InventedStock> stocks;
  private final List<LocalDate> dates;

  UsualMinutes(DemoSize size, long seed, TradingCalendar calendar, List<InventedStock> stocks) {
    this.seed = seed;
    this.stocks = stocks;
    dates = datesOf(size, calendar);
  }

  /** The sessions before a demo's day that have such bars, oldest first. */
  static List<LocalDate> datesOf(DemoSize size, TradingCalendar calendar) {
    List<LocalDate> dates = new ArrayList<>();
    LocalDate day = size.session();
    for (int i = 0; i < size.usualSessions(); i++) {
      day = calendar.before(day);
      dates.addFirst(day);
    }
    return dates;
  }

  /** Writes all sessions into a folder's minutes. */
  void write(Path folder, DailyInvention daily) {
    List<List<DailyBar>> bars = new ArrayList<>();
    for (int i = 0; i < stocks.size(); i++) {
      bars.add(daily.newest(i, stocks.get(i), dates.size() + 1));
    }
    for (int d = 0; d < dates.size(); d++) {
      int place = d + 1;
      LocalDate date = dates.get(d);
      MinutesTable.write(folder, date, table -> session(table, date, bars, place));
    }
  }

  private void session(MinutesTable table, LocalDate date, List<List<DailyBar>> bars, int place) {
    SplittableRandom random = new SplittableRandom(seed * 131 + date.toEpochDay());
    List<Story.Mark> shape = InventedMarket.activity(1, PREMARKET_PART);
    for (long at = DayTime.FIRST; at < DayTime.LAST; at += STEP) {
      String time = DayTime.seconds(at);
      double part = Story.since(shape, at).orElse(0) * STEP / DayTime.MINUTE;
      for (int i = 0; i < stocks.size(); i++) {
        List<DailyBar> known = bars.get(i);
        if (known.size() > place) {
          double busy = Math.exp(NOISE * random.nextGaussian());
          long volume = Math.round(known.get(place).volume() * part * busy / LEAST) * LEAST;
          if (volume > 0) {
            row(table, stocks.get(i), time, at, known.get(place - 1), known.get(place), volume);
          }
        }
      }
    }
  }

  private static void row(
      MinutesTable table,
      InventedStock stock,
      String time,
      long at,
      DailyBar before,
      DailyBar day,
      long volume) {
    long tick = day.close() < Price.DOLLAR ? 1 : 100;
    double gone = Math.clamp((at - DayTime.FIRST) / (double) (12 * DayTime.HOUR), 0, 1);
    long price = Math.round((before.close() + gone * (day.close() - before.close())) / tick) * tick;
    long close = Math.clamp(price, day.low(), day.high());
    table.row(
        stock.symbol(),
        time,
        close,
        close,
        close,
        close,
        volume,
        Math.max(1, volume / PRINT_SHARES));
  }
}
