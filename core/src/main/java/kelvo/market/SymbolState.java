package kelvo.market;

import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/**
 * Everything that the engine keeps about one security during a session, updated event by event.
 * Prices are {@link Price} units, sizes shares, times {@link DayTime}. Owned by one thread.
 */
public final class SymbolState {
  private static final int EMA_SPAN = 9;

  private final int id;
  private final SessionHours hours;
  private final SlidingVolume lastFiveMinutes = new SlidingVolume(5 * DayTime.MINUTE);
  private final Extremes day = new Extremes();
  private final Extremes premarket = new Extremes();
  private final Extremes session = new Extremes();
  private final AveragePrice vwapFromFour = new AveragePrice();
  private final AveragePrice vwapFromOpen = new AveragePrice();
  private final Crossing vwapCrossing = new Crossing();
  private final MinuteAverage ema9 = new MinuteAverage(EMA_SPAN);
  private long previousClose;
  private long lastPrice;
  private long lastPriceAt;
  private long bid;
  private long ask;
  private int bidShares;
  private int askShares;
  private long quotedAt;
  private long open;
  private boolean openIsOfficial;
  private long officialClose;
  private long volume;
  private long premarketVolume;
  private long regularVolume;
  private long trades;
  private long premarketTrades;
  private long dollarVolume;
  private TradingState tradingState = TradingState.TRADING;
  private long stateSince;
  private long newsAt = Long.MIN_VALUE;
  private int newsItems;

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
    this.previousClose = previousClose;
  }

  /** Applies an event of the tape and returns the {@link Effect} bits of what changed. */
  public int apply(EventTape tape, int event) {
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
      count(at, tradePrice * size, size, regular, beforeOpen, (flags & TapeRules.VWAP) != 0);
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
      openIsOfficial = true;
    } else {
      officialClose = tradePrice;
    }
  }

  private void count(
      long at, long money, long size, boolean regular, boolean beforeOpen, boolean inVwap) {
    volume += size;
    trades++;
    dollarVolume += money;
    lastFiveMinutes.add(at, size);
    if (beforeOpen) {
      premarketVolume += size;
      premarketTrades++;
    }
    if (regular) {
      regularVolume += size;
    }
    if (inVwap) {
      vwapFromFour.add(money, size);
      if (regular) {
        vwapFromOpen.add(money, size);
      }
    }
  }

  private int extremes(long tradePrice, boolean regular, boolean beforeOpen) {
    int effect = session.next(tradePrice, Effect.SESSION_HIGH, Effect.SESSION_LOW);
    if (regular) {
      effect |= day.next(tradePrice, Effect.DAY_HIGH, Effect.DAY_LOW);
    } else if (beforeOpen) {
      effect |= premarket.next(tradePrice, Effect.PREMARKET_HIGH, Effect.PREMARKET_LOW);
    }
    return effect;
  }

  private int last(long at, long tradePrice, boolean regular) {
    boolean changed = tradePrice != lastPrice;
    lastPrice = tradePrice;
    lastPriceAt = at;
    ema9.next(at / DayTime.MINUTE, tradePrice);
    if (regular && open == Price.NONE && !openIsOfficial) {
      open = tradePrice;
    }
    return crossVwap(at, tradePrice, regular) | (changed ? Effect.PRICE : 0);
  }

  private int crossVwap(long at, long tradePrice, boolean regular) {
    AveragePrice line = vwapAt(at);
    if (regular && !vwapFromOpen.crossed) {
      vwapFromOpen.crossed = true;
      vwapCrossing.reset();
    }
    if (line.shares == 0) {
      return 0;
    }
    int passed = vwapCrossing.next(tradePrice * line.shares, line.money, at);
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
    return 0;
  }

  /** Applies a change of the trading state and returns its effect. */
  public int status(long at, TradingState state) {
    TradingState before = tradingState;
    tradingState = state;
    if (state == before) {
      return 0;
    }
    stateSince = at;
    if (before == TradingState.TRADING) {
      return Effect.HALTED;
    }
    return state == TradingState.TRADING ? Effect.RESUMED : 0;
  }

  /** Applies the arrival of a news item and returns its effect. */
  public int news(long at) {
    newsAt = Math.max(newsAt, at);
    newsItems++;
    return Effect.NEWS;
  }

  /** Makes this state the same as another of the same security. */
  public void copyFrom(SymbolState other) {
    lastFiveMinutes.copyFrom(other.lastFiveMinutes);
    day.copyFrom(other.day);
    premarket.copyFrom(other.premarket);
    session.copyFrom(other.session);
    vwapFromFour.copyFrom(other.vwapFromFour);
    vwapFromOpen.copyFrom(other.vwapFromOpen);
    vwapCrossing.copyFrom(other.vwapCrossing);
    ema9.copyFrom(other.ema9);
    previousClose = other.previousClose;
    lastPrice = other.lastPrice;
    lastPriceAt = other.lastPriceAt;
    bid = other.bid;
    ask = other.ask;
    bidShares = other.bidShares;
    askShares = other.askShares;
    quotedAt = other.quotedAt;
    open = other.open;
    openIsOfficial = other.openIsOfficial;
    officialClose = other.officialClose;
    volume = other.volume;
    premarketVolume = other.premarketVolume;
    regularVolume = other.regularVolume;
    trades = other.trades;
    premarketTrades = other.premarketTrades;
    dollarVolume = other.dollarVolume;
    tradingState = other.tradingState;
    stateSince = other.stateSince;
    newsAt = other.newsAt;
    newsItems = other.newsItems;
  }

  /** A copy that shares nothing with this state. */
  public SymbolState copy() {
    SymbolState copy = new SymbolState(id, hours, previousClose);
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
    return quoteGivesPrice() ? (bid + ask) / 2 : previousClose;
  }

  /** Which rule gave the price. */
  public PriceSource priceSource() {
    if (lastPrice != Price.NONE) {
      return PriceSource.PRINT;
    }
    return quoteGivesPrice()
        ? PriceSource.QUOTE
        : previousClose == Price.NONE ? PriceSource.NONE : PriceSource.PREVIOUS_CLOSE;
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
    return previousClose;
  }

  /** The open, official once it is known; {@link Price#NONE} before. */
  public long open() {
    return open;
  }

  /** The official close; {@link Price#NONE} before it. */
  public long officialClose() {
    return officialClose;
  }

  /** High and low of regular hours. */
  public Extremes day() {
    return day;
  }

  /** High and low of [04:00, 09:30). */
  public Extremes premarket() {
    return premarket;
  }

  /** High and low since 04:00. */
  public Extremes session() {
    return session;
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
    return premarketVolume;
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
    return premarketTrades;
  }

  /** Money since 04:00 in {@link Price} units. */
  public long dollarVolume() {
    return dollarVolume;
  }

  /** Shares and prints of the last five minutes. */
  public SlidingVolume lastFiveMinutes() {
    return lastFiveMinutes;
  }

  /** The volume-weighted average price since 04:00. */
  public AveragePrice vwapFromFour() {
    return vwapFromFour;
  }

  /** The volume-weighted average price of regular hours. */
  public AveragePrice vwapFromOpen() {
    return vwapFromOpen;
  }

  /** The plain VWAP of a moment: from 04:00 before the open, from 09:30 after it. */
  public AveragePrice vwapAt(long moment) {
    return moment < SessionHours.OPEN ? vwapFromFour : vwapFromOpen;
  }

  /** The 9-bar exponential average of minute closes. */
  public MinuteAverage ema9() {
    return ema9;
  }

  /** Whether the security trades. */
  public TradingState tradingState() {
    return tradingState;
  }

  /** Since when it is in that state. */
  public long stateSince() {
    return stateSince;
  }

  /** When the newest item arrived; Long.MIN_VALUE before any, negative on an earlier day. */
  public long newsAt() {
    return newsAt;
  }

  /** Items so far. */
  public int newsItems() {
    return newsItems;
  }
}
