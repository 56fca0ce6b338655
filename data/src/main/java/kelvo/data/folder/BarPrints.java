package kelvo.data.folder;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.util.Map;
import kelvo.history.SessionMinutes;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;

/**
 * Prints that stand for the minute bars of a session of which nothing finer is known: the open of
 * each bar, the extreme further from its close, the other one, and the close, a third of a minute
 * apart, with equal shares. When within the minute and in which order they traded nobody knows.
 */
final class BarPrints {
  private static final long APART = DayTime.MINUTE / 3 - DayTime.MILLISECOND;
  private static final int MOST = 4;

  private BarPrints() {}

  /** The prints of all bars of known securities. */
  static EventRows of(SessionMinutes bars, Map<String, Integer> numbers) {
    EventRows rows =
        EventRows.withoutSeq(
            (tape, r, i) ->
                tape.trade(r.time(i), r.symbol(i), r.first(i), r.second(i), r.third(i)));
    for (int place = 0; place < bars.symbols().size(); place++) {
      Integer number = numbers.get(bars.symbols().get(place));
      if (number != null) {
        for (int row = bars.volume().start(place); row < bars.volume().end(place); row++) {
          add(rows, bars, number, row);
        }
      }
    }
    return rows;
  }

  private static void add(EventRows rows, SessionMinutes bars, int security, int row) {
    long[] prices = path(bars, row);
    long shares = bars.volume().count(row);
    long at = bars.volume().minute(row) * DayTime.MINUTE;
    int parts = (int) Math.min(shares, MOST);
    for (int part = 0; part < parts; part++) {
      // Of fewer shares than prices the last prices stay, the close among them.
      int price = prices.length - parts + part;
      long own = shares / parts + (part == parts - 1 ? shares % parts : 0);
      rows.add(
          -1, at + price * APART, security, prices[price], own, SaleCondition.REGULAR.bit(), 0);
    }
  }

  private static long[] path(SessionMinutes bars, int row) {
    long open = price(bars.opens(), row);
    long high = price(bars.highs(), row);
    long low = price(bars.lows(), row);
    long close = price(bars.closes(), row);
    boolean lowFirst = high - close < close - low;
    return new long[] {open, lowFirst ? low : high, lowFirst ? high : low, close};
  }

  private static long price(MemorySegment column, int row) {
    return column.getAtIndex(ValueLayout.JAVA_LONG, row);
  }
}
