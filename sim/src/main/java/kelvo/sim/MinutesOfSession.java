package kelvo.sim;

import java.time.LocalDate;
import java.util.List;
import kelvo.history.DailyBar;
import kelvo.tape.Price;
import kelvo.tape.TapeRules;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import org.jspecify.annotations.Nullable;

/** The minute bars of invented prints, in columns by stock and minute. */
final class MinutesOfSession {
  private static final int MINUTES = (int) ((DayTime.LAST - DayTime.FIRST) / DayTime.MINUTE);

  private final int stocks;
  private final SessionHours hours;
  private final long[] opens;
  private final long[] highs;
  private final long[] lows;
  private final long[] closes;
  private final long[] volumes;
  private final int[] trades;
  private final long[] officialCloses;

  MinutesOfSession(SessionEvents prints, int stocks, SessionHours hours) {
    this.stocks = stocks;
    this.hours = hours;
    int cells = stocks * MINUTES;
    opens = new long[cells];
    highs = new long[cells];
    lows = new long[cells];
    closes = new long[cells];
    volumes = new long[cells];
    trades = new int[cells];
    officialCloses = new long[stocks];
    for (int i : prints.inOrderOfTime()) {
      take(prints, i);
    }
  }

  private void take(SessionEvents prints, int i) {
    long at = prints.timesMs[i] * DayTime.MILLISECOND;
    int cell = prints.stocks[i] * MINUTES + (int) ((at - DayTime.FIRST) / DayTime.MINUTE);
    int flags = TapeRules.flags(prints.thirds[i], hours.regular(at));
    long price = prints.firsts[i];
    if ((flags & TapeRules.SETS_CLOSE) != 0) {
      officialCloses[prints.stocks[i]] = price;
    }
    if ((flags & TapeRules.VOLUME) != 0) {
      volumes[cell] += prints.seconds[i];
      trades[cell]++;
    }
    if ((flags & TapeRules.HIGH_LOW) != 0) {
      if (opens[cell] == Price.NONE) {
        opens[cell] = price;
        lows[cell] = price;
      }
      highs[cell] = Math.max(highs[cell], price);
      lows[cell] = Math.min(lows[cell], price);
      closes[cell] = price;
    }
  }

  /** Adds them to a table in the order of time. */
  void write(MinutesTable table, List<InventedStock> names) {
    for (int minute = 0; minute < MINUTES; minute++) {
      String time = DayTime.seconds(DayTime.FIRST + minute * DayTime.MINUTE);
      for (int s = 0; s < stocks; s++) {
        int cell = s * MINUTES + minute;
        if (opens[cell] != Price.NONE) {
          table.row(
              names.get(s).symbol(),
              time,
              opens[cell],
              highs[cell],
              lows[cell],
              closes[cell],
              volumes[cell],
              trades[cell]);
        }
      }
    }
  }

  /** The daily bars: prices of regular hours, volume of the whole day; null without a print. */
  @Nullable DailyBar[] daily(LocalDate date) {
    @Nullable DailyBar[] bars = new DailyBar[stocks];
    int from = (int) ((SessionHours.OPEN - DayTime.FIRST) / DayTime.MINUTE);
    int to = (int) ((hours.close() - DayTime.FIRST) / DayTime.MINUTE);
    for (int s = 0; s < stocks; s++) {
      bars[s] = bar(date, s * MINUTES, from, to, officialCloses[s]);
    }
    return bars;
  }

  private @Nullable DailyBar bar(LocalDate date, int first, int from, int to, long close) {
    long open = Price.NONE;
    long high = 0;
    long low = Long.MAX_VALUE;
    long volume = 0;
    long prints = 0;
    for (int minute = 0; minute < MINUTES; minute++) {
      int cell = first + minute;
      volume += volumes[cell];
      prints += trades[cell];
      if (minute >= from && minute < to && opens[cell] != Price.NONE) {
        open = open == Price.NONE ? opens[cell] : open;
        high = Math.max(high, highs[cell]);
        low = Math.min(low, lows[cell]);
      }
    }
    return open == Price.NONE || close == Price.NONE
        ? null
        : new DailyBar(
            date, open, Math.max(high, close), Math.min(low, close), close, volume, prints);
  }
}
