package kelvo.tape;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.stream.IntStream;
import kelvo.refusal.RefusedException;

/**
 * The events of one session in their order: what the engine plays and the charts look back into.
 * Securities are numbered as in the session's list. Each event is a row of five numbers side by
 * side, so that going to any event touches one place in memory; rows lie in blocks that never move.
 * One thread may append while others read.
 *
 * <p>Publication: everything that belongs to an event (its row, its place among those of its
 * security, what it means for the greatest time and lateness) is written before its number is
 * released by {@link #size} and {@link #eventsOf}. Whoever has read a number there sees all of it.
 * Other threads therefore ask for a size first, and then only for events below it; what leads from
 * one event to a later one ({@link #laterOfSymbol}) may lead beyond it.
 */
public final class EventTape {
  /** No event. */
  public static final int NONE = -1;

  /** The id of a print that has none. */
  public static final long NO_ID = 0;

  private static final int CANCEL = 0;
  private static final int CORRECT = 1;

  /** The most securities that a tape can number. */
  public static final int MAX_SECURITIES = 1 << 21;

  /** The greatest price that a tape can hold, {@link Price} units. */
  public static final long GREATEST_PRICE = (1L << 40) - 1;

  /** The greatest number of shares of one print. */
  public static final long MAX_SHARES = (1L << 48) - 1;

  private static final int FEW = 16;
  private static final int BLOCK_BITS = 16;
  private static final int IN_BLOCK = (1 << BLOCK_BITS) - 1;
  private static final int ROW = 5;

  /** The length of an event in {@link #rows}. */
  public static final int ROW_BYTES = ROW * Long.BYTES;

  /** Place of the time in a row. */
  private static final int TIME = 0;

  /** Place of kind (3 bits), security (21 bits) and price or bid (40 bits) in a row. */
  private static final int WHAT = 1;

  /** Place of a print's conditions (16 bits) and shares (48 bits), or of a quote's ask. */
  private static final int HOW_MUCH = 2;

  /**
   * Place of a print's id, the shares bid for and offered, state and reason, or the item's number.
   */
  private static final int DETAIL = 3;

  /** Place of the events before and after of the same security. */
  private static final int NEIGHBOURS = 4;

  private static final int KIND_BITS = 3;
  private static final int SYMBOL_BITS = 21;
  private static final int PRICE_SHIFT = KIND_BITS + SYMBOL_BITS;
  private static final int CONDITION_BITS = 16;
  private static final int TRADE = EventKind.TRADE.ordinal();
  private static final int QUOTE = EventKind.QUOTE.ordinal();
  private static final long LOW_INT = 0xFFFF_FFFFL;

  private static final VarHandle NEWEST = MethodHandles.arrayElementVarHandle(int[].class);
  private static final VarHandle SIZE = sizeHandle();

  private final int[] firstOfSymbol;
  private final int[] newestOfSymbol;
  private final List<String> reasons = new CopyOnWriteArrayList<>();
  private int[] statuses = {};
  private int statusCount;
  private int size;
  private long[][] blocks = new long[1][];

  /** By block, the greatest time of the events before it. */
  private long[] greatestBefore = new long[1];

  private long mostLateness;
  private long greatestTime = Long.MIN_VALUE;

  /**
   * An empty tape.
   *
   * @param symbolCount how many securities the session has, at most {@link #MAX_SECURITIES}
   */
  public EventTape(int symbolCount) {
    if (symbolCount > MAX_SECURITIES) {
      throw new RefusedException(
          "at most " + MAX_SECURITIES + " securities fit a tape, found " + symbolCount);
    }
    firstOfSymbol = new int[symbolCount];
    newestOfSymbol = new int[symbolCount];
    Arrays.fill(firstOfSymbol, NONE);
    Arrays.fill(newestOfSymbol, NONE);
  }

  /**
   * The tape whose events lie in memory as {@link #rows} tells them. The rows are copied.
   *
   * @param reasons as {@link #reasons} tells them
   */
  public static EventTape ofRows(int symbolCount, MemorySegment rows, List<String> reasons) {
    EventTape tape = new EventTape(symbolCount);
    int events = Math.toIntExact(rows.byteSize() / ROW_BYTES);
    int blocks = Math.max(1, (events + IN_BLOCK) >>> BLOCK_BITS);
    tape.blocks = new long[blocks][];
    tape.greatestBefore = new long[blocks];
    tape.reasons.addAll(reasons);
    IntStream.range(0, (events + IN_BLOCK) >>> BLOCK_BITS)
        .parallel()
        .forEach(block -> tape.blocks[block] = block(rows, block, events));
    tape.size = events;
    tape.findAnew();
    return tape;
  }

  private static long[] block(MemorySegment rows, int block, int events) {
    long[] copied = new long[ROW << BLOCK_BITS];
    int first = block << BLOCK_BITS;
    int longs = Math.min(IN_BLOCK + 1, events - first) * ROW;
    MemorySegment.copy(rows, ValueLayout.JAVA_LONG, (long) first * ROW_BYTES, copied, 0, longs);
    return copied;
  }

  /** Finds out of the rows alone all that is kept beside them. */
  private void findAnew() {
    for (int event = 0; event < size; event++) {
      if ((event & IN_BLOCK) == 0) {
        greatestBefore[event >>> BLOCK_BITS] = greatestTime;
      }
      long neighbours = at(event, NEIGHBOURS);
      if ((int) (neighbours >>> Integer.SIZE) == NONE) {
        firstOfSymbol[symbol(event)] = event;
      }
      if ((int) neighbours == NONE) {
        newestOfSymbol[symbol(event)] = event;
      }
      if (kind(event) == EventKind.STATUS) {
        noteStatus(event);
      }
      noteTime(time(event));
    }
  }

  /**
   * The events as they lie in memory, {@link #ROW_BYTES} each, the first ones in the first segment.
   * For the writer's thread; not to be changed.
   */
  public List<MemorySegment> rows() {
    return IntStream.range(0, (size + IN_BLOCK) >>> BLOCK_BITS)
        .mapToObj(
            block ->
                MemorySegment.ofArray(blocks[block])
                    .asSlice(
                        0, (long) Math.min(IN_BLOCK + 1, size - (block << BLOCK_BITS)) * ROW_BYTES))
        .toList();
  }

  /** The reasons of status events, each once, as the rows number them. */
  public List<String> reasons() {
    return List.copyOf(reasons);
  }

  private static VarHandle sizeHandle() {
    try {
      return MethodHandles.lookup().findVarHandle(EventTape.class, "size", int.class);
    } catch (ReflectiveOperationException e) {
      throw new ExceptionInInitializerError(e);
    }
  }

  /** Appends a print that nobody will correct. */
  public void trade(long at, int symbol, long price, long shares, int conditions) {
    trade(at, symbol, price, shares, conditions, NO_ID);
  }

  /**
   * Appends a print: price in {@link Price} units, shares, bits of {@link SaleCondition}.
   *
   * @param id by which a correction names it, one of its kind among the security's prints of the
   *     day; {@link #NO_ID} without one
   */
  public void trade(long at, int symbol, long price, long shares, int conditions, long id) {
    if (shares < 0 || shares > MAX_SHARES) {
      throw new RefusedException("shares must be 0 to " + MAX_SHARES + ": " + shares);
    }
    append(EventKind.TRADE, at, symbol, price, shares << CONDITION_BITS | conditions, id);
  }

  /** Appends a quote; a side without a price is {@link Price#NONE}. */
  public void quote(long at, int symbol, long bid, int bidShares, long ask, int askShares) {
    append(EventKind.QUOTE, at, symbol, bid, ask, pair(bidShares, askShares));
  }

  /** Appends a change of the trading state with the reason that the exchange gave. */
  public void status(long at, int symbol, TradingState state, String reason) {
    int index = reasons.indexOf(reason);
    if (index < 0) {
      index = reasons.size();
      reasons.add(reason);
    }
    noteStatus(size);
    append(EventKind.STATUS, at, symbol, 0, 0, pair(state.ordinal(), index));
  }

  private void noteStatus(int event) {
    if (statusCount == statuses.length) {
      statuses = Arrays.copyOf(statuses, Math.max(FEW, 2 * statusCount));
    }
    statuses[statusCount++] = event;
  }

  /**
   * Appends the cancelling of an earlier print of the security.
   *
   * @return whether there is a print of that id; nothing is appended otherwise
   */
  public boolean cancel(long at, int symbol, long id) {
    return correct(at, symbol, id, Price.NONE, 0, CANCEL);
  }

  /**
   * Appends the correction of an earlier print of the security.
   *
   * @return whether there is a print of that id; nothing is appended otherwise
   */
  public boolean correct(long at, int symbol, long id, long price, long shares) {
    return correct(at, symbol, id, price, shares, CORRECT);
  }

  private boolean correct(long at, int symbol, long id, long price, long shares, int action) {
    int print = id == NO_ID ? NONE : printOf(symbol, id);
    if (print == NONE) {
      return false;
    }
    append(EventKind.CORRECTION, at, symbol, price, shares << CONDITION_BITS, pair(print, action));
    return true;
  }

  private int printOf(int symbol, long id) {
    int i = newestOfSymbol[symbol];
    while (i != NONE && !(isTrade(i) && at(i, DETAIL) == id)) {
      i = earlierOfSymbol(i);
    }
    return i;
  }

  /** Appends an auction imbalance: shares paired and not, the price at which they were counted. */
  public void imbalance(
      long at, int symbol, boolean buyers, int paired, long shares, long reference) {
    append(
        EventKind.IMBALANCE,
        at,
        symbol,
        reference,
        shares << CONDITION_BITS,
        pair(paired, buyers ? 1 : 0));
  }

  /** Appends how many people have talked of the security since the message before. */
  public void mention(long at, int symbol, long count) {
    append(EventKind.MENTION, at, symbol, 0, count << CONDITION_BITS, 0);
  }

  /**
   * Appends the arrival of a news item about a security: its number in the session's list of items.
   */
  public void news(long at, int symbol, int item) {
    append(EventKind.NEWS, at, symbol, 0, 0, pair(item, 0));
  }

  private static long pair(int first, int second) {
    return (long) first << Integer.SIZE | (second & LOW_INT);
  }

  private void append(EventKind kind, long at, int symbol, long price, long much, long detail) {
    if (price < 0 || price > GREATEST_PRICE) {
      throw new RefusedException("a price must be 0 to " + GREATEST_PRICE + ": " + price);
    }
    int block = size >>> BLOCK_BITS;
    if (block == blocks.length) {
      blocks = Arrays.copyOf(blocks, block * 2);
      greatestBefore = Arrays.copyOf(greatestBefore, block * 2);
    }
    if (blocks[block] == null) {
      blocks[block] = new long[ROW << BLOCK_BITS];
      greatestBefore[block] = greatestTime;
    }
    int before = newestOfSymbol[symbol];
    long[] rows = blocks[block];
    int row = (size & IN_BLOCK) * ROW;
    rows[row + TIME] = at;
    rows[row + WHAT] = price << PRICE_SHIFT | (long) symbol << KIND_BITS | kind.ordinal();
    rows[row + HOW_MUCH] = much;
    rows[row + DETAIL] = detail;
    rows[row + NEIGHBOURS] = pair(before, NONE);
    if (before != NONE) {
      blocks[before >>> BLOCK_BITS][(before & IN_BLOCK) * ROW + NEIGHBOURS] =
          pair(earlierOfSymbol(before), size);
    } else {
      firstOfSymbol[symbol] = size;
    }
    noteTime(at);
    NEWEST.setRelease(newestOfSymbol, symbol, size);
    SIZE.setRelease(this, size + 1);
  }

  private void noteTime(long at) {
    greatestTime = Math.max(greatestTime, at);
    mostLateness = Math.max(mostLateness, greatestTime - at);
  }

  private long at(int event, int place) {
    return blocks[event >>> BLOCK_BITS][(event & IN_BLOCK) * ROW + place];
  }

  /** The number of events. */
  public int size() {
    return (int) SIZE.getAcquire(this);
  }

  /** The number of securities. */
  public int symbolCount() {
    return newestOfSymbol.length;
  }

  /** Whether event i is a print: the question asked most. */
  public boolean isTrade(int i) {
    return ((int) at(i, WHAT) & (1 << KIND_BITS) - 1) == TRADE;
  }

  /** Whether event i is a quote. */
  public boolean isQuote(int i) {
    return ((int) at(i, WHAT) & (1 << KIND_BITS) - 1) == QUOTE;
  }

  /** The kind of event i. */
  public EventKind kind(int i) {
    return EventKind.of((int) at(i, WHAT) & (1 << KIND_BITS) - 1);
  }

  /** The security's number. */
  public int symbol(int i) {
    return (int) (at(i, WHAT) >>> KIND_BITS) & (1 << SYMBOL_BITS) - 1;
  }

  /** When event i happened, {@link kelvo.time.DayTime}. */
  public long time(int i) {
    return at(i, TIME);
  }

  /** The price of a print or of its correction, the reference price of an imbalance. */
  public long price(int i) {
    return at(i, WHAT) >>> PRICE_SHIFT;
  }

  /** The shares of a print, of its correction or of an imbalance; the count of a mention. */
  public long shares(int i) {
    return at(i, HOW_MUCH) >>> CONDITION_BITS;
  }

  /** The sale conditions of a print. */
  public int conditions(int i) {
    return (int) at(i, HOW_MUCH) & (1 << CONDITION_BITS) - 1;
  }

  /** The bid of a quote. */
  public long bid(int i) {
    return at(i, WHAT) >>> PRICE_SHIFT;
  }

  /** The ask of a quote. */
  public long ask(int i) {
    return at(i, HOW_MUCH);
  }

  /** The shares bid for. */
  public int bidShares(int i) {
    return (int) (at(i, DETAIL) >>> Integer.SIZE);
  }

  /** The shares offered. */
  public int askShares(int i) {
    return (int) at(i, DETAIL);
  }

  /** The new trading state. */
  public TradingState state(int i) {
    return TradingState.values()[(int) (at(i, DETAIL) >>> Integer.SIZE)];
  }

  /** The reason of a status event; empty when none was given. */
  public String reason(int i) {
    return reasons.get((int) at(i, DETAIL));
  }

  /** The id of a print, or of the print that a correction is about. */
  public long id(int i) {
    return at(isTrade(i) ? i : correctedPrint(i), DETAIL);
  }

  /** The print that a correction is about. */
  int correctedPrint(int i) {
    return (int) (at(i, DETAIL) >>> Integer.SIZE);
  }

  /** Whether a correction cancels its print. */
  public boolean isCancel(int i) {
    return (int) at(i, DETAIL) == CANCEL;
  }

  /** Whether an imbalance is on the buyers' side. */
  public boolean buyersWait(int i) {
    return (int) at(i, DETAIL) == 1;
  }

  /** The shares that an auction has paired so far. */
  public int paired(int i) {
    return (int) (at(i, DETAIL) >>> Integer.SIZE);
  }

  /** The number of the news item. */
  public int newsItem(int i) {
    return (int) (at(i, DETAIL) >>> Integer.SIZE);
  }

  /** The event before this one of the same security; {@link #NONE} when there is none. */
  public int earlierOfSymbol(int i) {
    return (int) (at(i, NEIGHBOURS) >>> Integer.SIZE);
  }

  /** The event after this one of the same security; {@link #NONE} when there is none. */
  public int laterOfSymbol(int i) {
    return (int) at(i, NEIGHBOURS);
  }

  /**
   * The event after one of the same security, when a newer one is known: most often that one
   * itself, whose row is near, while the older one's has long left the processor's caches.
   */
  public int laterOfSymbol(int i, int newer) {
    return earlierOfSymbol(newer) == i ? newer : laterOfSymbol(i);
  }

  /**
   * The status events among the first {@code count}, oldest first. Whoever knows the count by
   * {@link #size} sees all of them.
   */
  public int[] statusEvents(int count) {
    int[] known = statuses;
    int among = 0;
    // What the writer has added meanwhile may not be seen yet, and then still be 0.
    while (among < known.length
        && known[among] < count
        && (among == 0 || known[among] > known[among - 1])) {
      among++;
    }
    boolean none = among > 0 && kind(known[0]) != EventKind.STATUS;
    return Arrays.copyOf(known, none ? 0 : among);
  }

  /**
   * The first event of a security; {@link #NONE} when there is none yet. For the writer's thread.
   */
  public int firstOfSymbol(int symbol) {
    return firstOfSymbol[symbol];
  }

  /**
   * How far the latest of late events came after a newer one, nanoseconds; 0 when all came in
   * order.
   */
  public long mostLateness() {
    return mostLateness;
  }

  /**
   * The number of events that have come by a moment of the tape's clock, which is the greatest time
   * seen: all before the first of a later time.
   */
  public int countUntil(long moment) {
    // Before the lateness, which then is that of these events at least.
    int end = size();
    return mostLateness == 0 ? searched(moment, end) : counted(moment, end);
  }

  /** Late events stand among newer ones, so that only whole blocks can be passed over. */
  private int counted(long moment, int end) {
    int block = 0;
    while ((block + 1) << BLOCK_BITS < end && greatestBefore[block + 1] <= moment) {
      block++;
    }
    int event = block << BLOCK_BITS;
    while (event < end && time(event) <= moment) {
      event++;
    }
    return event;
  }

  private int searched(long moment, int end) {
    int low = 0;
    int high = end;
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (time(middle) <= moment) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /**
   * Reads a tape event by event, at the cost of one look at where the event's row lies. Owned by
   * one thread.
   */
  public final class Cursor {
    private int event = NONE;
    private long time;
    private long what;
    private long howMuch;

    private Cursor() {}

    /** Goes to an event that is on the tape. */
    public void moveTo(int newEvent) {
      long[] rows = blocks[newEvent >>> BLOCK_BITS];
      int row = (newEvent & IN_BLOCK) * ROW;
      event = newEvent;
      time = rows[row + TIME];
      what = rows[row + WHAT];
      howMuch = rows[row + HOW_MUCH];
    }

    /** The event's number. */
    public int event() {
      return event;
    }

    /** As {@link EventTape#time}. */
    public long time() {
      return time;
    }

    /** As {@link EventTape#symbol}. */
    public int symbol() {
      return (int) (what >>> KIND_BITS) & (1 << SYMBOL_BITS) - 1;
    }

    public boolean isTrade() {
      return ((int) what & (1 << KIND_BITS) - 1) == TRADE;
    }

    public boolean isQuote() {
      return ((int) what & (1 << KIND_BITS) - 1) == QUOTE;
    }

    public long price() {
      return what >>> PRICE_SHIFT;
    }

    public long shares() {
      return howMuch >>> CONDITION_BITS;
    }

    public int conditions() {
      return (int) howMuch & (1 << CONDITION_BITS) - 1;
    }
  }

  /** A cursor that stands nowhere yet. */
  public Cursor cursor() {
    return new Cursor();
  }

  /** The numbers of one security's events among the first {@code count}, oldest first. */
  public int[] eventsOf(int symbol, int count) {
    int newest = (int) NEWEST.getAcquire(newestOfSymbol, symbol);
    while (newest >= count) {
      newest = earlierOfSymbol(newest);
    }
    // One walk and a copy: the events lie far apart, so that each step is a wait for the memory.
    int[] newestFirst = new int[FEW];
    int length = 0;
    for (int i = newest; i != NONE; i = earlierOfSymbol(i)) {
      if (length == newestFirst.length) {
        newestFirst = Arrays.copyOf(newestFirst, 2 * length);
      }
      newestFirst[length++] = i;
    }
    int[] events = new int[length];
    for (int i = 0; i < length; i++) {
      events[i] = newestFirst[length - 1 - i];
    }
    return events;
  }
}
