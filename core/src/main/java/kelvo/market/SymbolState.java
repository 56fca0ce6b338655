package kelvo.market;

import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/**
 * Everything that the engine keeps about one security during a session, updated event by event.
 * Prices are {@link Price} units, sizes shares, times {@link DayTime}. Owned by one thread.
 */
public final class SymbolState {
  private static final int EMA_SPAN = 9;
  private static final EventTape NO_TAPE = new EventTape(0);

  private final int id;
  private final SessionHours hours;
  private final SlidingVolume lastFiveMinutes = new SlidingVolume(5 * DayTime.MINUTE);
  private final Crossing vwapCrossing = new Crossing();
  private final SeldomState seldom = new SeldomState();
  private final MinuteAverage ema9 = new MinuteAverage(EMA_SPAN);
  // What nearly every print touches stands together, in as few lines of memory as it needs.
  private long lastPrice;
  private long lastPriceAt;
  private long minuteEnd;
  private long volume;
  private long regularVolume;
  private long trades;
  private long dollarVolume;
  private long vwapMoney;
  private long vwapShares;
  private long regularVwapMoney;
  private long regularVwapShares;
  private long sessionHigh;
  private long sessionLow;
  private long dayHigh;
  private long dayLow;
  private long open;

  private EventTape tape = NO_TAPE;
  private int lastEvent = EventTape.NONE;
  private int vwapSide;
  private boolean regularBegan;
  private long bid;
  private long ask;
  private int bidShares;
  private int askShares;
  private long quotedAt;

  /**
   * A security before its first event.
   *
   * @param id its number in the session's list
   * @param previousClose split-adjusted close of the session before; {@link Price#NONE} when
   *     unknown
   */
  public SymbolState(int id, SessionHours hours, long previousClose) {
    this.id = id;
    this.hours = hours;
    seldom.previousClose = previousClose;
  }

  /** Applies an event of the tape and returns the {@link Effect} bits of what changed. */
  public int apply(EventTape from, int event) {
    if (tape != from) {
      tape = from;
    }
    lastEvent = event;
    long at = tape.time(event);
    return switch (tape.kind(event)) {
      case TRADE -> trade(at, tape.price(event), tape.shares(event), tape.conditions(event));
      case QUOTE ->
          quote(at, tape.bid(event), tape.bidShares(event), tape.ask(event), tape.askShares(event));
      case STATUS -> status(at, tape.state(event));
      case NEWS -> news(at);
    };
  }

  /** Applies a print and returns the {@link Effect} bits of what changed. */
  public int trade(long at, long tradePrice, long size, int conditions) {
    int flags = TapeRules.flags(conditions, hours.regular(at));
    if ((flags & (TapeRules.SETS_OPEN | TapeRules.SETS_CLOSE)) != 0) {
      official(flags, tradePrice);
    }
    boolean regular = (flags & TapeRules.REGULAR) != 0;
    boolean beforeOpen = !regular && at < SessionHours.OPEN;
    if ((flags & TapeRules.VOLUME) != 0) {
      count(tradePrice * size, size, regular, beforeOpen, (flags & TapeRules.VWAP) != 0);
    }
    int effect = (flags & TapeRules.HIGH_LOW) != 0 ? extremes(tradePrice, regular, beforeOpen) : 0;
    boolean last =
        (flags & TapeRules.LAST) != 0
            || ((flags & TapeRules.LAST_WHEN_FIRST) != 0 && lastPrice == Price.NONE);
    return last && at >= lastPriceAt ? effect | last(at, tradePrice, regular) : effect;
  }

  private void official(int flags, long tradePrice) {
    if ((flags & TapeRules.SETS_OPEN) != 0) {
      open = tradePrice;
      seldom.openIsOfficial = true;
    } else {
      seldom.officialClose = tradePrice;
    }
  }

  private void count(long money, long size, boolean regular, boolean beforeOpen, boolean inVwap) {
    volume += size;
    trades++;
    dollarVolume += money;
    if (beforeOpen) {
      seldom.premarketVolume += size;
      seldom.premarketTrades++;
    }
    if (regular) {
      regularVolume += size;
    }
    if (inVwap) {
      vwapMoney += money;
      vwapShares += size;
      if (regular) {
        regularVwapMoney += money;
        regularVwapShares += size;
      }
    }
  }

  /** The first print of a span sets its high and low and is no new extreme. */
  private int extremes(long price, boolean regular, boolean beforeOpen) {
    int effect = 0;
    if (sessionHigh == Price.NONE) {
      sessionHigh = price;
      sessionLow = price;
    } else if (price > sessionHigh) {
      sessionHigh = price;
      effect = Effect.SESSION_HIGH;
    } else if (price < sessionLow) {
      sessionLow = price;
      effect = Effect.SESSION_LOW;
    }
    if (regular) {
      return effect | dayExtremes(price);
    }
    return beforeOpen ? effect | premarketExtremes(price) : effect;
  }

  private int dayExtremes(long price) {
    if (dayHigh == Price.NONE) {
      dayHigh = price;
      dayLow = price;
    } else if (price > dayHigh) {
      dayHigh = price;
      return Effect.DAY_HIGH;
    } else if (price < dayLow) {
      dayLow = price;
      return Effect.DAY_LOW;
    }
    return 0;
  }

  private int premarketExtremes(long price) {
    if (seldom.premarketHigh == Price.NONE) {
      seldom.premarketHigh = price;
      seldom.premarketLow = price;
    } else if (price > seldom.premarketHigh) {
      seldom.premarketHigh = price;
      return Effect.PREMARKET_HIGH;
    } else if (price < seldom.premarketLow) {
      seldom.premarketLow = price;
      return Effect.PREMARKET_LOW;
    }
    return 0;
  }

  private int last(long at, long tradePrice, boolean regular) {
    boolean changed = tradePrice != lastPrice;
    if (at >= minuteEnd) {
      beginMinute(at);
    }
    lastPrice = tradePrice;
    lastPriceAt = at;
    if (regular && open == Price.NONE && !seldom.openIsOfficial) {
      open = tradePrice;
    }
    return crossVwap(at, tradePrice, regular) | (changed ? Effect.PRICE : 0);
  }

  private void beginMinute(long at) {
    if (minuteEnd > 0) {
      ema9.close(Price.dollars(lastPrice));
    }
    minuteEnd = (at / DayTime.MINUTE + 1) * DayTime.MINUTE;
  }

  private int crossVwap(long at, long tradePrice, boolean regular) {
    if (regular && !regularBegan) {
      regularBegan = true;
      vwapCrossing.reset();
      vwapSide = 0;
    }
    boolean early = at < SessionHours.OPEN;
    long shares = early ? vwapShares : regularVwapShares;
    if (shares == 0) {
      return 0;
    }
    long price = tradePrice * shares;
    long line = early ? vwapMoney : regularVwapMoney;
    int newSide = Long.compare(price, line);
    if (newSide == vwapSide) {
      return 0;
    }
    int passed = vwapCrossing.next(price, line, at);
    vwapSide = vwapCrossing.steadySide();
    return passed == Crossing.NONE
        ? 0
        : passed == Crossing.ROSE ? Effect.ROSE_THROUGH_VWAP : Effect.FELL_THROUGH_VWAP;
  }

  /** Applies a quote and returns its effect. */
  public int quote(long at, long newBid, int newBidShares, long newAsk, int newAskShares) {
    bid = newBid;
    ask = newAsk;
    bidShares = newBidShares;
    askShares = newAskShares;
    quotedAt = at;
    return lastPrice == Price.NONE ? 0 : Effect.QUOTE;
  }

  /** Applies a change of the trading state and returns its effect. */
  public int status(long at, TradingState state) {
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

  /** Applies the arrival of a news item and returns its effect. */
  public int news(long at) {
    seldom.newsAt = Math.max(seldom.newsAt, at);
    seldom.newsItems++;
    return Effect.NEWS;
  }

  /** Makes this state the same as another of the same security. */
  public void copyFrom(SymbolState other) {
    tape = other.tape;
    lastEvent = other.lastEvent;
    lastFiveMinutes.copyFrom(other.lastFiveMinutes);
    dayHigh = other.dayHigh;
    dayLow = other.dayLow;
    sessionHigh = other.sessionHigh;
    sessionLow = other.sessionLow;
    vwapMoney = other.vwapMoney;
    vwapShares = other.vwapShares;
    regularVwapMoney = other.regularVwapMoney;
    regularVwapShares = other.regularVwapShares;
    vwapSide = other.vwapSide;
    regularBegan = other.regularBegan;
    minuteEnd = other.minuteEnd;
    vwapCrossing.copyFrom(other.vwapCrossing);
    ema9.copyFrom(other.ema9);
    seldom.copyFrom(other.seldom);
    lastPrice = other.lastPrice;
    lastPriceAt = other.lastPriceAt;
    bid = other.bid;
    ask = other.ask;
    bidShares = other.bidShares;
    askShares = other.askShares;
    quotedAt = other.quotedAt;
    open = other.open;
    volume = other.volume;
    regularVolume = other.regularVolume;
    trades = other.trades;
    dollarVolume = other.dollarVolume;
  }

  /** A copy that shares nothing with this state. */
  public SymbolState copy() {
    SymbolState copy = new SymbolState(id, hours, seldom.previousClose);
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
    return quoteGivesPrice() ? (bid + ask) / 2 : seldom.previousClose;
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
    return bid > 0 && ask > bid && (ask - bid) * 40 <= bid + ask;
  }

  /** When the price came about; 0 when it is the previous close. */
  public long priceAt() {
    return lastPrice != Price.NONE ? lastPriceAt : quoteGivesPrice() ? quotedAt : 0;
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
    return open;
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
    return sessionHigh;
  }

  /** Low of the time since 04:00; {@link Price#NONE} before the first print. */
  public long sessionLow() {
    return sessionLow;
  }

  /** Best bid; {@link Price#NONE} without one. */
  public long bid() {
    return bid;
  }

  /** Best ask; {@link Price#NONE} without one. */
  public long ask() {
    return ask;
  }

  /** Shares at the bid. */
  public int bidShares() {
    return bidShares;
  }

  /** Shares at the ask. */
  public int askShares() {
    return askShares;
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
    return regularVolume;
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
    return lastFiveMinutes.shares(tape, lastEvent, now);
  }

  /** Prints in (now - 5 min, now]. */
  public int tradesInFiveMinutes(long now) {
    return lastFiveMinutes.trades(tape, lastEvent, now);
  }

  /** When the next print leaves the last five minutes, or before; Long.MAX_VALUE without any. */
  public long nextWindowChange(long now) {
    return lastFiveMinutes.nextChange(tape, lastEvent, now);
  }

  /**
   * The volume-weighted average price since 04:00, dollars; unknown (NaN) before the first print.
   */
  public double vwapFromFour() {
    return average(vwapMoney, vwapShares);
  }

  /** The volume-weighted average price of regular hours, dollars; NaN before the first print. */
  public double vwapFromOpen() {
    return average(regularVwapMoney, regularVwapShares);
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
    return minuteEnd == 0 ? Double.NaN : ema9.with(Price.dollars(lastPrice));
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
