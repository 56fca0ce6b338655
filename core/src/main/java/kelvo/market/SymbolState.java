package kelvo.market;

import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/**
 * Everything that the engine keeps about one security during a session, updated event by event.
 * Prices are {@link Price} units, sizes shares, times {@link DayTime}. Owned by one thread.
 */
public final class SymbolState {
  private static final int EMA_SPAN = 9;
  private static final int NO_MINUTE = -1;
  private static final EventTape NO_TAPE = new EventTape(0);

  private final int id;
  private final SessionHours hours;
  private final EventTape tape;
  private final SeldomState seldom;
  private final Crossing vwapCrossing = new Crossing();
  private final MinuteAverage ema9 = new MinuteAverage(EMA_SPAN);

  // What nearly every print touches stands here, in as few lines of memory as it needs; whatever
  // can be found from it or on the tape is not kept at all.
  private long lastPrice;
  private long lastPriceAt;
  private long volume;
  private long dollarVolume;
  private long anchoredMoney;
  private long anchoredShares;
  private long dayHigh;
  private long dayLow;
  private int trades;
  private int minute = NO_MINUTE;
  private int lastEvent = EventTape.NONE;
  private int lastQuote = EventTape.NONE;
  private byte vwapSide;
  private boolean opened;
  private boolean regularBegan;

  /**
   * A security before its first event, with a tape that stays empty: for asking about what is known
   * before the session.
   *
   * @param id its number in the session's list
   * @param previousClose split-adjusted close of the session before; {@link Price#NONE} when
   *     unknown
   */
  public SymbolState(int id, SessionHours hours, long previousClose) {
    this(id, hours, previousClose, NO_TAPE);
  }

  /** A security before its first event on a tape. */
  public SymbolState(int id, SessionHours hours, long previousClose, EventTape tape) {
    this.id = id;
    this.hours = hours;
    this.tape = tape;
    seldom = new SeldomState(previousClose);
  }

  /**
   * Applies an event of this state's tape and returns the {@link Effect} bits of what changed. The
   * caller names the tape so that reading the event need not wait for this state to come near.
   */
  public int apply(EventTape from, int event) {
    if (from.isTrade(event)) {
      int effect =
          trade(from.time(event), from.price(event), from.shares(event), from.conditions(event));
      lastEvent = event;
      return effect;
    }
    lastEvent = event;
    if (from.isQuote(event)) {
      lastQuote = event;
      return hasTraded() ? Effect.QUOTE : 0;
    }
    return from.kind(event) == EventKind.STATUS
        ? status(from.time(event), from.state(event))
        : news(from.time(event));
  }

  private int trade(long at, long tradePrice, long size, int conditions) {
    int flags = TapeRules.flags(conditions, hours.regular(at));
    if ((flags & (TapeRules.SETS_OPEN | TapeRules.SETS_CLOSE)) != 0) {
      official(flags, tradePrice);
    }
    boolean regular = (flags & TapeRules.REGULAR) != 0;
    if ((flags & TapeRules.VOLUME) != 0) {
      count(at, tradePrice * size, size, regular, (flags & TapeRules.VWAP) != 0);
    }
    int effect = (flags & TapeRules.HIGH_LOW) != 0 ? extremes(at, tradePrice, regular) : 0;
    boolean last =
        (flags & TapeRules.LAST) != 0
            || ((flags & TapeRules.LAST_WHEN_FIRST) != 0 && lastPrice == Price.NONE);
    return last && at >= lastPriceAt ? effect | last(at, tradePrice, regular) : effect;
  }

  /** Whether a print has set the price; asked of what an event touches anyway. */
  private boolean hasTraded() {
    return minute != NO_MINUTE;
  }

  private void official(int flags, long tradePrice) {
    if ((flags & TapeRules.SETS_OPEN) != 0) {
      seldom.open = tradePrice;
      opened = true;
    } else {
      seldom.officialClose = tradePrice;
    }
  }

  private void count(long at, long money, long size, boolean regular, boolean inVwap) {
    volume += size;
    trades++;
    dollarVolume += money;
    if (!regular) {
      seldom.countOutside(size, at < SessionHours.OPEN);
    } else if (!regularBegan) {
      anchorAtOpen();
    }
    if (inVwap && regular == regularBegan) {
      anchoredMoney += money;
      anchoredShares += size;
    } else if (inVwap) {
      seldom.unanchoredMoney += money;
      seldom.unanchoredShares += size;
    }
  }

  /** From the first print of regular hours on, the sums at hand are theirs. */
  private void anchorAtOpen() {
    regularBegan = true;
    seldom.unanchoredMoney = anchoredMoney;
    seldom.unanchoredShares = anchoredShares;
    anchoredMoney = 0;
    anchoredShares = 0;
    vwapCrossing.reset();
    vwapSide = 0;
  }

  /**
   * The first print of a span sets its high and low and is no new extreme. A print inside the day's
   * range is inside the session's.
   */
  private int extremes(long at, long price, boolean regular) {
    if (!regular) {
      return seldom.extremes(price, at < SessionHours.OPEN);
    }
    if (dayHigh == Price.NONE) {
      dayHigh = price;
      dayLow = price;
      return seldom.extremes(price, false);
    }
    if (price > dayHigh) {
      dayHigh = price;
      return Effect.DAY_HIGH | seldom.extremes(price, false);
    }
    if (price < dayLow) {
      dayLow = price;
      return Effect.DAY_LOW | seldom.extremes(price, false);
    }
    return 0;
  }

  private int last(long at, long tradePrice, boolean regular) {
    int effect = tradePrice != lastPrice ? Effect.PRICE : 0;
    int ofMinute = (int) (at / DayTime.MINUTE);
    if (ofMinute != minute) {
      beginMinute(ofMinute);
    }
    lastPrice = tradePrice;
    lastPriceAt = at;
    if (regular && !opened) {
      seldom.open = tradePrice;
      opened = true;
    }
    return effect | crossVwap(at, tradePrice);
  }

  private void beginMinute(int next) {
    if (hasTraded()) {
      ema9.close(Price.dollars(lastPrice));
    }
    minute = next;
  }

  private int crossVwap(long at, long tradePrice) {
    boolean early = at < SessionHours.OPEN;
    long shares = early ? sharesFromFour() : sharesFromOpen();
    if (shares == 0) {
      return 0;
    }
    long price = tradePrice * shares;
    long line = early ? moneyFromFour() : moneyFromOpen();
    if (Long.compare(price, line) == vwapSide) {
      return 0;
    }
    int passed = vwapCrossing.next(price, line, at);
    vwapSide = (byte) vwapCrossing.steadySide();
    return passed == Crossing.NONE
        ? 0
        : passed == Crossing.ROSE ? Effect.ROSE_THROUGH_VWAP : Effect.FELL_THROUGH_VWAP;
  }

  private long sharesFromFour() {
    return regularBegan ? anchoredShares + seldom.unanchoredShares : anchoredShares;
  }

  private long moneyFromFour() {
    return regularBegan ? anchoredMoney + seldom.unanchoredMoney : anchoredMoney;
  }

  private long sharesFromOpen() {
    return regularBegan ? anchoredShares : 0;
  }

  private long moneyFromOpen() {
    return regularBegan ? anchoredMoney : 0;
  }

  private int status(long at, TradingState state) {
    TradingState before = seldom.tradingState;
    seldom.tradingState = state;
    if (state == before) {
      return 0;
    }
    seldom.stateSince = at;
    if (before == TradingState.TRADING) {
      return Effect.HALTED;
    }
    return state == TradingState.TRADING ? Effect.RESUMED : 0;
  }

  private int news(long at) {
    seldom.newsAt = Math.max(seldom.newsAt, at);
    seldom.newsItems++;
    return Effect.NEWS;
  }

  /** Makes this state the same as another of the same security. */
  public void copyFrom(SymbolState other) {
    lastPrice = other.lastPrice;
    lastPriceAt = other.lastPriceAt;
    volume = other.volume;
    dollarVolume = other.dollarVolume;
    anchoredMoney = other.anchoredMoney;
    anchoredShares = other.anchoredShares;
    dayHigh = other.dayHigh;
    dayLow = other.dayLow;
    trades = other.trades;
    minute = other.minute;
    lastEvent = other.lastEvent;
    lastQuote = other.lastQuote;
    vwapSide = other.vwapSide;
    opened = other.opened;
    regularBegan = other.regularBegan;
    vwapCrossing.copyFrom(other.vwapCrossing);
    ema9.copyFrom(other.ema9);
    seldom.copyFrom(other.seldom);
  }

  /** A copy that shares nothing with this state but the tape. */
  public SymbolState copy() {
    SymbolState copy = new SymbolState(id, hours, seldom.previousClose, tape);
    copy.copyFrom(this);
    return copy;
  }

  /** The number of the security in the session's list. */
  public int id() {
    return id;
  }

  /**
   * Kelvo's price: the latest eligible print since 04:00; before any, the middle of a two-sided
   * quote whose spread is at most 5% of it; else the previous close.
   */
  public long price() {
    if (lastPrice != Price.NONE) {
      return lastPrice;
    }
    return quoteGivesPrice() ? (bid() + ask()) / 2 : seldom.previousClose;
  }

  /** Which rule gave the price. */
  public PriceSource priceSource() {
    if (lastPrice != Price.NONE) {
      return PriceSource.PRINT;
    }
    return quoteGivesPrice()
        ? PriceSource.QUOTE
        : seldom.previousClose == Price.NONE ? PriceSource.NONE : PriceSource.PREVIOUS_CLOSE;
  }

  private boolean quoteGivesPrice() {
    long bid = bid();
    long ask = ask();
    return bid > 0 && ask > bid && (ask - bid) * 40 <= bid + ask;
  }

  /** When the price came about; 0 when it is the previous close. */
  public long priceAt() {
    return lastPrice != Price.NONE ? lastPriceAt : quoteGivesPrice() ? tape.time(lastQuote) : 0;
  }

  /** The latest eligible print; {@link Price#NONE} before the first. */
  public long lastPrice() {
    return lastPrice;
  }

  /** Split-adjusted close of the session before. */
  public long previousClose() {
    return seldom.previousClose;
  }

  /** The open, official once it is known; {@link Price#NONE} before. */
  public long open() {
    return seldom.open;
  }

  /** The official close; {@link Price#NONE} before it. */
  public long officialClose() {
    return seldom.officialClose;
  }

  /** High of regular hours; {@link Price#NONE} before the first print. */
  public long dayHigh() {
    return dayHigh;
  }

  /** Low of regular hours; {@link Price#NONE} before the first print. */
  public long dayLow() {
    return dayLow;
  }

  /** High of [04:00, 09:30); {@link Price#NONE} before the first print. */
  public long premarketHigh() {
    return seldom.premarketHigh;
  }

  /** Low of [04:00, 09:30); {@link Price#NONE} before the first print. */
  public long premarketLow() {
    return seldom.premarketLow;
  }

  /** High of the time since 04:00; {@link Price#NONE} before the first print. */
  public long sessionHigh() {
    return seldom.sessionHigh;
  }

  /** Low of the time since 04:00; {@link Price#NONE} before the first print. */
  public long sessionLow() {
    return seldom.sessionLow;
  }

  /** Best bid; {@link Price#NONE} without one. */
  public long bid() {
    return lastQuote == EventTape.NONE ? Price.NONE : tape.bid(lastQuote);
  }

  /** Best ask; {@link Price#NONE} without one. */
  public long ask() {
    return lastQuote == EventTape.NONE ? Price.NONE : tape.ask(lastQuote);
  }

  /** Shares at the bid. */
  public int bidShares() {
    return lastQuote == EventTape.NONE ? 0 : tape.bidShares(lastQuote);
  }

  /** Shares at the ask. */
  public int askShares() {
    return lastQuote == EventTape.NONE ? 0 : tape.askShares(lastQuote);
  }

  /** Shares since 04:00. */
  public long volume() {
    return volume;
  }

  /** Shares before 09:30. */
  public long premarketVolume() {
    return seldom.premarketVolume;
  }

  /** Shares in regular hours. */
  public long regularVolume() {
    return volume - seldom.outsideVolume;
  }

  /** Prints since 04:00. */
  public long trades() {
    return trades;
  }

  /** Prints before 09:30. */
  public long premarketTrades() {
    return seldom.premarketTrades;
  }

  /** Money since 04:00 in {@link Price} units. */
  public long dollarVolume() {
    return dollarVolume;
  }

  /** Shares in (now - 5 min, now]. Moments must not go back. */
  public long sharesInFiveMinutes(long now) {
    return seldom.lastFiveMinutes.shares(tape, lastEvent, now);
  }

  /** Prints in (now - 5 min, now]. */
  public int tradesInFiveMinutes(long now) {
    return seldom.lastFiveMinutes.trades(tape, lastEvent, now);
  }

  /** When the next print leaves the last five minutes, or before; Long.MAX_VALUE without any. */
  public long nextWindowChange(long now) {
    return seldom.lastFiveMinutes.nextChange(tape, lastEvent, now);
  }

  /**
   * The volume-weighted average price since 04:00, dollars; unknown (NaN) before the first print.
   */
  public double vwapFromFour() {
    return average(moneyFromFour(), sharesFromFour());
  }

  /** The volume-weighted average price of regular hours, dollars; NaN before the first print. */
  public double vwapFromOpen() {
    return average(moneyFromOpen(), sharesFromOpen());
  }

  /** The plain VWAP of a moment: from 04:00 before the open, from 09:30 after it. */
  public double vwapAt(long moment) {
    return moment < SessionHours.OPEN ? vwapFromFour() : vwapFromOpen();
  }

  private static double average(long money, long shares) {
    return shares == 0 ? Double.NaN : money / (double) shares / Price.DOLLAR;
  }

  /**
   * The 9-bar exponential average of minute closes, the running minute included; NaN before 9 bars.
   */
  public double ema9() {
    return !hasTraded() ? Double.NaN : ema9.with(Price.dollars(lastPrice));
  }

  /** Whether the security trades. */
  public TradingState tradingState() {
    return seldom.tradingState;
  }

  /** Since when it is in that state. */
  public long stateSince() {
    return seldom.stateSince;
  }

  /** When the newest item arrived; Long.MIN_VALUE before any, negative on an earlier day. */
  public long newsAt() {
    return seldom.newsAt;
  }

  /** Items so far. */
  public int newsItems() {
    return seldom.newsItems;
  }
}
