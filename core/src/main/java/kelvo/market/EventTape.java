package kelvo.market;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The events of one session in their order, in columns: what the engine plays and the charts look
 * back into. Securities are numbered as in the session's list. Not safe for writing while others
 * read; once filled, any thread may read it.
 */
public final class EventTape {
  /** No event. */
  static final int NONE = -1;

  private final int[] newestOfSymbol;
  private final List<String> reasons = new ArrayList<>();
  private int size;
  private byte[] kinds = new byte[1024];
  private int[] symbols = new int[1024];
  private long[] times = new long[1024];
  private long[] firsts = new long[1024];
  private long[] seconds = new long[1024];
  private int[] thirds = new int[1024];
  private int[] fourths = new int[1024];
  private int[] earlier = new int[1024];
  private int[] later = new int[1024];
  private long mostLateness;
  private long greatestTime = Long.MIN_VALUE;

  /**
   * An empty tape.
   *
   * @param symbolCount how many securities the session has
   */
  public EventTape(int symbolCount) {
    newestOfSymbol = new int[symbolCount];
    Arrays.fill(newestOfSymbol, NONE);
  }

  /** Appends a print: price in {@link Price} units, shares, bits of {@link SaleCondition}. */
  public void trade(long at, int symbol, long price, long shares, int conditions) {
    append(EventKind.TRADE, at, symbol, price, shares, conditions, 0);
  }

  /** Appends a quote; a side without a price is {@link Price#NONE}. */
  public void quote(long at, int symbol, long bid, int bidShares, long ask, int askShares) {
    append(EventKind.QUOTE, at, symbol, bid, ask, bidShares, askShares);
  }

  /** Appends a change of the trading state with the reason that the exchange gave. */
  public void status(long at, int symbol, TradingState state, String reason) {
    int index = reasons.indexOf(reason);
    if (index < 0) {
      index = reasons.size();
      reasons.add(reason);
    }
    append(EventKind.STATUS, at, symbol, 0, 0, state.ordinal(), index);
  }

  /**
   * Appends the arrival of a news item about a security: its number in the session's list of items.
   */
  public void news(long at, int symbol, int item) {
    append(EventKind.NEWS, at, symbol, 0, 0, item, 0);
  }

  private void append(EventKind kind, long at, int symbol, long a, long b, int c, int d) {
    if (size == kinds.length) {
      grow(size * 2);
    }
    kinds[size] = (byte) kind.ordinal();
    symbols[size] = symbol;
    times[size] = at;
    firsts[size] = a;
    seconds[size] = b;
    thirds[size] = c;
    fourths[size] = d;
    int before = newestOfSymbol[symbol];
    earlier[size] = before;
    later[size] = NONE;
    if (before != NONE) {
      later[before] = size;
    }
    newestOfSymbol[symbol] = size++;
    greatestTime = Math.max(greatestTime, at);
    mostLateness = Math.max(mostLateness, greatestTime - at);
  }

  private void grow(int capacity) {
    kinds = Arrays.copyOf(kinds, capacity);
    symbols = Arrays.copyOf(symbols, capacity);
    times = Arrays.copyOf(times, capacity);
    firsts = Arrays.copyOf(firsts, capacity);
    seconds = Arrays.copyOf(seconds, capacity);
    thirds = Arrays.copyOf(thirds, capacity);
    fourths = Arrays.copyOf(fourths, capacity);
    earlier = Arrays.copyOf(earlier, capacity);
    later = Arrays.copyOf(later, capacity);
  }

  /** The number of events. */
  public int size() {
    return size;
  }

  /** The number of securities. */
  public int symbolCount() {
    return newestOfSymbol.length;
  }

  /** The kind of event i. */
  public EventKind kind(int i) {
    return EventKind.of(kinds[i]);
  }

  /** The security's number. */
  public int symbol(int i) {
    return symbols[i];
  }

  /** When event i happened, {@link kelvo.time.DayTime}. */
  public long time(int i) {
    return times[i];
  }

  /** The price of a print. */
  public long price(int i) {
    return firsts[i];
  }

  /** The shares of a print. */
  public long shares(int i) {
    return seconds[i];
  }

  /** The sale conditions of a print. */
  public int conditions(int i) {
    return thirds[i];
  }

  /** The bid of a quote. */
  public long bid(int i) {
    return firsts[i];
  }

  /** The ask of a quote. */
  public long ask(int i) {
    return seconds[i];
  }

  /** The shares bid for. */
  public int bidShares(int i) {
    return thirds[i];
  }

  /** The shares offered. */
  public int askShares(int i) {
    return fourths[i];
  }

  /** The new trading state. */
  public TradingState state(int i) {
    return TradingState.values()[thirds[i]];
  }

  /** The reason of a status event; empty when none was given. */
  public String reason(int i) {
    return reasons.get(fourths[i]);
  }

  /** The number of the news item. */
  public int newsItem(int i) {
    return thirds[i];
  }

  /** The event before this one of the same security; {@link #NONE} when there is none. */
  int earlierOfSymbol(int i) {
    return earlier[i];
  }

  /** The event after this one of the same security; {@link #NONE} when there is none. */
  int laterOfSymbol(int i) {
    return later[i];
  }

  /**
   * How far the latest of late events came after a newer one, nanoseconds; 0 when all came in
   * order.
   */
  long mostLateness() {
    return mostLateness;
  }

  /** The number of events at or before a moment, when events stand in order of time. */
  public int countUntil(long moment) {
    int low = 0;
    int high = size;
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (times[middle] <= moment) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** The numbers of one security's events among the first {@code count}, oldest first. */
  public int[] eventsOf(int symbol, int count) {
    int length = 0;
    int newest = newestOfSymbol[symbol];
    while (newest >= count) {
      newest = earlier[newest];
    }
    for (int i = newest; i != NONE; i = earlier[i]) {
      length++;
    }
    int[] events = new int[length];
    for (int i = newest; i != NONE; i = earlier[i]) {
      events[--length] = i;
    }
    return events;
  }
}
