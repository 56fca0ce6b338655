package kelvo.research.bars;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import kelvo.history.SessionMinutes;
import kelvo.tape.Price;
import kelvo.time.SessionHours;

/**
 * What the minute bars of each security of a session came to by its end: enough to tell that a rule
 * cannot have held at any minute, so that most bars are never looked at. Immutable.
 *
 * @param rows {@link #ROW} longs for each security, in the order of the bars
 */
public record DayTotals(MemorySegment rows) {
  /** The numbers of a security. */
  public static final int ROW = 8;

  private static final int LEAST_CLOSE = 0;
  private static final int MOST_CLOSE = 1;
  private static final int OPEN = 2;
  private static final int VOLUME = 3;
  private static final int PREMARKET_VOLUME = 4;
  private static final int TRADES = 5;
  private static final int PREMARKET_TRADES = 6;
  private static final int THREEFOLD_MONEY = 7;
  private static final long UNCOUNTED = -1;

  /** Adds up a session's bars. */
  public static DayTotals of(SessionHours hours, SessionMinutes minutes) {
    int securities = minutes.symbols().size();
    long[] rows = new long[securities * ROW];
    BarRows bars = new BarRows(minutes);
    BarState state = new BarState(hours, minutes.trades() != null);
    for (int place = 0; place < securities; place++) {
      bars.moveTo(place);
      state.begin(place, Price.NONE, Double.NaN);
      long least = Price.NONE;
      long most = Price.NONE;
      for (int row = 0; row < bars.size(); row++) {
        state.take(bars, row);
        least = least == Price.NONE ? state.price() : Math.min(least, state.price());
        most = Math.max(most, state.price());
      }
      int at = place * ROW;
      rows[at + LEAST_CLOSE] = least;
      rows[at + MOST_CLOSE] = most;
      rows[at + OPEN] = state.open();
      rows[at + VOLUME] = state.volume();
      rows[at + PREMARKET_VOLUME] = state.premarketVolume();
      rows[at + TRADES] = minutes.trades() == null ? UNCOUNTED : (long) state.trades();
      rows[at + PREMARKET_TRADES] =
          minutes.trades() == null ? UNCOUNTED : (long) state.premarketTrades();
      rows[at + THREEFOLD_MONEY] = state.threefoldMoney();
    }
    return new DayTotals(MemorySegment.ofArray(rows));
  }

  private long at(int place, int number) {
    return rows.getAtIndex(ValueLayout.JAVA_LONG, (long) place * ROW + number);
  }

  long leastClose(int place) {
    return at(place, LEAST_CLOSE);
  }

  long mostClose(int place) {
    return at(place, MOST_CLOSE);
  }

  /** The open of regular hours; {@link Price#NONE} when they had no bar. */
  long open(int place) {
    return at(place, OPEN);
  }

  long volume(int place) {
    return at(place, VOLUME);
  }

  long premarketVolume(int place) {
    return at(place, PREMARKET_VOLUME);
  }

  /** NaN when the bars do not count them. */
  double trades(int place) {
    return counted(at(place, TRADES));
  }

  /** Likewise. */
  double premarketTrades(int place) {
    return counted(at(place, PREMARKET_TRADES));
  }

  private static double counted(long trades) {
    return trades == UNCOUNTED ? Double.NaN : trades;
  }

  long threefoldMoney(int place) {
    return at(place, THREEFOLD_MONEY);
  }
}
