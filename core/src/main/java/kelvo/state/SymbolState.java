package kelvo.state;

import java.util.Arrays;
import java.util.List;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.tape.Corrections;
import kelvo.tape.EventKind;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.TapeRules;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/**
 * Everything that the engine keeps about one security during a session, updated event by event.
 * Prices are {@link Price} units, sizes shares, times {@link DayTime}. Owned by one thread.
 */
public final class SymbolState implements Subject {
  private static final short NO_MINUTE = RecentMinutes.NONE;
  private static final long BEFORE_HALT = 5 * DayTime.MINUTE;

  private final int id;
  private final Market market;
  private final SeldomState seldom;

  // What nearly every print touches stands here, in as few lines of memory as it needs; whatever
  // can be found from it or on the tape is not kept at all.
  private long lastPrice;
  private long lastPriceAt;
  private long anchoredMoney;
  private long anchoredShares;
  private long dayHigh;
  private long dayLow;
  private long gaugedFrom = Long.MAX_VALUE;
  private long gaugedTo = Long.MAX_VALUE;
  private long vwapCrossing = Crossing.UNKNOWN;
  private double minuteEma;
  private long printMinutes;
  private int trades;
  private int lastEvent = EventTape.NONE;
  private int lastQuote = EventTape.NONE;
  private short minuteBars;
  private short minute = NO_MINUTE;
  private short printMinute = NO_MINUTE;
  private boolean opened;
  private boolean regularBegan;

  /**
   * A security before its first event.
   *
   * @param id its number in the session's list
   * @param previousClose split-adjusted close of the session before; {@link Price#NONE} when
   *     unknown
   */
  SymbolState(int id, long previousClose, Market market) {
    this(id, market, new SeldomState(previousClose, market.session(), id));
  }

  private SymbolState(int id, Market market, SeldomState seldom) {
    this.id = id;
    this.market = market;
    this.seldom = seldom;
  }

  /**
   * All securities of a market before its first event. What prints touch is made in one go, so that
   * it lies together in memory.
   */
  static List<SymbolState> all(Market market) {
    List<SecurityFacts> securities = market.session().securities();
    SeldomState[] seldom = new SeldomState[securities.size()];
    Arrays.setAll(
        seldom, i -> new SeldomState(securities.get(i).previousClose(), market.session(), i));
    SymbolState[] states = new SymbolState[seldom.length];
    Arrays.setAll(states, i -> new SymbolState(i, market, seldom[i]));
    return List.of(states);
  }

  /**
   * The state of a security before its first event on the tape, looked at alone: nothing is known
   * of the rest of the market.
   */
  public static SymbolState fresh(Session session, int security) {
    return new SymbolState(
        security, session.security(security).previousClose(), Market.unseen(session));
  }

  /** Applies an event of this state's market: {@link #apply(Market, EventTape.Cursor)}. */
  public int apply(int event) {
    EventTape.Cursor at = market.tape().cursor();
    at.moveTo(event);
    return apply(market, at);
  }

  /**
   * Applies the event at which a cursor of this state's market stands, and returns the {@link
   * Effect} bits of what changed. The caller names the market so that reading the event need not
   * wait for this state to come near.
   */
  public int apply(Market in, EventTape.Cursor at) {
    if (at.isTrade()) {
      int effect = trade(in.hours(), at.time(), at.price(), at.shares(), at.conditions());
      lastEvent = at.event();
      return effect;
    }
    lastEvent = at.event();
    if (at.isQuote()) {
      lastQuote = at.event();
      return hasTraded() ? Effect.QUOTE : 0;
    }
    return rare(at.event());
  }

  private int rare(int event) {
    EventTape from = market.tape();
    return switch (from.kind(event)) {
      case TRADE, QUOTE -> throw new IllegalStateException("event " + event + " is not rare");
      case STATUS -> status(from, event);
      case CORRECTION -> correct(event);
      case IMBALANCE -> {
        seldom.imbalance = event;
        yield Effect.IMBALANCE;
      }
      case MENTION -> {
        seldom.mentions = SeldomState.append(seldom.mentions, event);
        yield Effect.MENTION;
      }
      case NEWS -> news(event);
    };
  }

  private int status(EventTape from, int event) {
    int effect = seldom.status.take(from, event);
    if (effect == Effect.HALTED) {
      seldom.status.haltedAt(price(), priceAt(from.time(event) - BEFORE_HALT));
    }
    return effect;
  }

  /**
   * Plays the events of this security again, with what has become of its prints since. Those before
   * the corrected print would come to the same, so that it begins at the last checkpoint before it.
   */
  private int correct(int event) {
    EventTape from = market.tape();
    Corrections corrections = seldom.corrections.with(from, event);
    List<CorrectionListener> hearing = market.hearing();
    SecurityCheckpoints checkpoints = market.checkpoints(id);
    SymbolState again = checkpoints.goOn(unplayed(), event, corrections, hearing);
    again.seldom.corrections = corrections;
    int sinceCheckpoint = 0;
    while (again.lastEvent != event) {
      int next =
          again.lastEvent == EventTape.NONE
              ? from.firstOfSymbol(id)
              : from.laterOfSymbol(again.lastEvent, event);
      int effect = again.replay(next);
      for (CorrectionListener one : hearing) {
        one.after(again, effect, next);
      }
      if (++sinceCheckpoint == SecurityCheckpoints.EVENTS_BETWEEN) {
        checkpoints.add(again, hearing);
        sinceCheckpoint = 0;
      }
    }
    copyFrom(again);
    return Effect.CORRECTED | Effect.PRICE;
  }

  private SymbolState unplayed() {
    return new SymbolState(id, seldom.previousClose, market);
  }

  /** Hears of each event of a security that is played again. */
  @FunctionalInterface
  public interface Replayed {
    /** The state after an event, and what the event did. */
    void after(SymbolState state, int effect, int event);
  }

  /** This security after all its events up to one, each print as it stands corrected by then. */
  public SymbolState replayed(int lastOne, Replayed each) {
    EventTape from = market.tape();
    int[] events = from.eventsOf(id, lastOne + 1);
    SymbolState fresh = unplayed();
    fresh.seldom.corrections = Corrections.among(from, events);
    for (int event : events) {
      each.after(fresh, fresh.replay(event), event);
    }
    return fresh;
  }

  private int replay(int event) {
    EventTape from = market.tape();
    Corrections corrections = seldom.corrections;
    if (!from.isTrade(event)) {
      if (from.kind(event) != EventKind.CORRECTION) {
        return apply(event);
      }
      lastEvent = event;
      return 0;
    }
    lastEvent = event;
    return corrections.cancels(from, event)
        ? 0
        : trade(
            market.hours(),
            from.time(event),
            corrections.price(from, event),
            corrections.shares(from, event),
            from.conditions(event));
  }

  private int trade(SessionHours hours, long at, long tradePrice, long size, int conditions) {
    int flags = TapeRules.flags(conditions, hours.regular(at));
    int effect =
        (flags & (TapeRules.SETS_OPEN | TapeRules.SETS_CLOSE)) != 0
            ? official(hours, flags, at, tradePrice)
            : 0;
    boolean regular = (flags & TapeRules.REGULAR) != 0;
    if ((flags & TapeRules.VOLUME) != 0) {
      count(at, tradePrice * size, size, regular, (flags & TapeRules.VWAP) != 0);
      effect |= Effect.PRINT;
    }
    if ((flags & TapeRules.HIGH_LOW) != 0) {
      effect |= Effect.EXTREME | extremes(at, tradePrice, regular);
    }
    boolean last =
        (flags & TapeRules.LAST) != 0
            || ((flags & TapeRules.LAST_WHEN_FIRST) != 0 && lastPrice == Price.NONE);
    if (!last || at < lastPriceAt) {
      return effect;
    }
    if (at >= hours.close()) {
      boolean first = seldom.lastRegular == Price.NONE && dayHigh != Price.NONE;
      seldom.lastRegular = regular ? tradePrice : first ? lastPrice : seldom.lastRegular;
    }
    return effect | last(at, tradePrice, regular);
  }

  /** Whether a print has set the price; asked of what an event touches anyway. */
  private boolean hasTraded() {
    return minute != NO_MINUTE;
  }

  /**
   * Where the tape does not say of which market an official price is, the first open from 09:30 on
   * and the close that is told nearest to the bell count.
   */
  private int official(SessionHours hours, int flags, long at, long tradePrice) {
    if ((flags & TapeRules.SETS_CLOSE) != 0) {
      boolean nearer =
          seldom.officialClose == Price.NONE
              || Math.abs(at - hours.close()) < Math.abs(seldom.officialCloseAt - hours.close());
      seldom.officialClose = nearer ? tradePrice : seldom.officialClose;
      seldom.officialCloseAt = nearer ? at : seldom.officialCloseAt;
    }
    if ((flags & TapeRules.SETS_OPEN) == 0
        || at < SessionHours.OPEN
        || seldom.officialOpenAt != 0) {
      return 0;
    }
    int effect = opened && seldom.open == tradePrice ? 0 : Effect.OPENED;
    seldom.officialOpenAt = at;
    seldom.open = tradePrice;
    opened = true;
    return effect;
  }

  private void count(long at, long money, long size, boolean regular, boolean inVwap) {
    trades++;
    int ofMinute = (int) (at / DayTime.MINUTE);
    if (ofMinute != printMinute) {
      printMinutes = RecentMinutes.with(printMinutes, printMinute, ofMinute);
      printMinute = (short) Math.max(printMinute, ofMinute);
    }
    if (!regular) {
      seldom.countOutside(money, size, at < SessionHours.OPEN);
    } else if (!regularBegan) {
      anchorAtOpen();
    }
    if (inVwap && regular == regularBegan) {
      anchoredMoney += money;
      anchoredShares += size;
    } else {
      seldom.countUnanchored(money, size, inVwap);
    }
  }

  /** From the first print of regular hours on, the sums at hand are theirs. */
  private void anchorAtOpen() {
    regularBegan = true;
    seldom.unanchoredMoney = anchoredMoney;
    seldom.unanchoredShares = anchoredShares;
    anchoredMoney = 0;
    anchoredShares = 0;
    vwapCrossing = Crossing.UNKNOWN;
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
    int effect = tradePrice != lastPrice ? Effect.PRICE | Effect.ELIGIBLE : Effect.ELIGIBLE;
    int ofMinute = (int) (at / DayTime.MINUTE);
    if (ofMinute != minute) {
      beginMinute(ofMinute);
    }
    lastPrice = tradePrice;
    lastPriceAt = at;
    if (regular && !opened) {
      seldom.open = tradePrice;
      opened = true;
      effect |= Effect.OPENED;
    }
    return effect | crossVwap(at, tradePrice);
  }

  private void beginMinute(int next) {
    if (hasTraded()) {
      minuteEma = MinuteEma.closed(minuteEma, minuteBars++, Price.dollars(lastPrice));
    }
    minute = (short) next;
  }

  private int crossVwap(long at, long tradePrice) {
    boolean early = at < SessionHours.OPEN;
    long shares = early ? sharesFromFour() : sharesFromOpen();
    if (shares == 0) {
      return 0;
    }
    long price = tradePrice * shares;
    long line = early ? moneyFromFour() : moneyFromOpen();
    if (Crossing.staysAt(vwapCrossing, price, line)) {
      return 0;
    }
    vwapCrossing = Crossing.next(vwapCrossing, price, line, at);
    return switch (Crossing.way(vwapCrossing)) {
      case Crossing.ROSE -> Effect.ROSE_THROUGH_VWAP;
      case Crossing.FELL -> Effect.FELL_THROUGH_VWAP;
      default -> 0;
    };
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

  private int news(int event) {
    long published = seldom.news.publishedAt(event);
    boolean earlier = published < 0 || published < market.tape().time(event);
    seldom.news.add(event, earlier ? priceAt(published) : price());
    return Effect.NEWS;
  }

  /** Makes this state the same as another of the same security. */
  public void copyFrom(SymbolState other) {
    lastPrice = other.lastPrice;
    lastPriceAt = other.lastPriceAt;
    anchoredMoney = other.anchoredMoney;
    anchoredShares = other.anchoredShares;
    dayHigh = other.dayHigh;
    dayLow = other.dayLow;
    trades = other.trades;
    minute = other.minute;
    printMinute = other.printMinute;
    lastEvent = other.lastEvent;
    lastQuote = other.lastQuote;
    opened = other.opened;
    regularBegan = other.regularBegan;
    vwapCrossing = other.vwapCrossing;
    minuteEma = other.minuteEma;
    minuteBars = other.minuteBars;
    printMinutes = other.printMinutes;
    seldom.copyFrom(other.seldom);
  }

  /** A copy that shares nothing with this state but the market.tape(). */
  public SymbolState copy() {
    SymbolState copy = unplayed();
    copy.copyFrom(this);
    return copy;
  }

  /** The whole market around it. */
  public Market market() {
    return market;
  }

  @Override
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

  /**
   * The newest eligible print at or before a moment. For a moment before 04:00 the close of the
   * minute bar of that day, where it is kept; else the previous close, or {@link Price#NONE} for a
   * moment before that close. Looks back print by print.
   */
  public long priceAt(long moment) {
    if (moment < DayTime.FIRST) {
      long then = market.session().earlier().minutes().priceAt(id, moment);
      return then != Price.NONE || moment < market.hours().previousClose()
          ? then
          : seldom.previousClose;
    }
    EventTape from = market.tape();
    for (int i = lastEvent; i != EventTape.NONE; i = from.earlierOfSymbol(i)) {
      if (from.time(i) <= moment && from.isTrade(i) && !cancels(i)) {
        boolean regular = market.hours().regular(from.time(i));
        if ((TapeRules.flags(from.conditions(i), regular) & TapeRules.LAST) != 0) {
          return correctedPrice(i);
        }
      }
    }
    return seldom.previousClose;
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
    return lastPrice != Price.NONE
        ? lastPriceAt
        : quoteGivesPrice() ? market.tape().time(lastQuote) : 0;
  }

  /** The latest eligible print; {@link Price#NONE} before the first. */
  public long lastPrice() {
    return lastPrice;
  }

  /** When the latest eligible print was made, {@link DayTime}; 0 before the first. */
  public long lastPriceAt() {
    return lastPriceAt;
  }

  /** Split-adjusted close of the session before. */
  public long previousClose() {
    return seldom.previousClose;
  }

  /** The open, official once it is known; {@link Price#NONE} before. */
  public long open() {
    return seldom.open;
  }

  /**
   * What the evening is held against: the official close; until there is one, the last eligible
   * print of regular hours. {@link Price#NONE} before the first print after the close, or without
   * any in regular hours.
   */
  public long closeSoFar() {
    return seldom.officialClose != Price.NONE ? seldom.officialClose : seldom.lastRegular;
  }

  /** The official open; {@link Price#NONE} before it. */
  public long officialOpen() {
    return seldom.officialOpenAt == 0 ? Price.NONE : seldom.open;
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
    return lastQuote == EventTape.NONE ? Price.NONE : market.tape().bid(lastQuote);
  }

  /** Best ask; {@link Price#NONE} without one. */
  public long ask() {
    return lastQuote == EventTape.NONE ? Price.NONE : market.tape().ask(lastQuote);
  }

  /** Shares at the bid. */
  public int bidShares() {
    return lastQuote == EventTape.NONE ? 0 : market.tape().bidShares(lastQuote);
  }

  /** Shares at the ask. */
  public int askShares() {
    return lastQuote == EventTape.NONE ? 0 : market.tape().askShares(lastQuote);
  }

  /** Shares since 04:00. */
  public long volume() {
    return seldom.excludedShares + sharesFromFour();
  }

  /** Shares before 09:30. */
  public long premarketVolume() {
    return seldom.premarketVolume;
  }

  /** Money before 09:30 in {@link Price} units. */
  public long premarketDollarVolume() {
    return seldom.premarketMoney;
  }

  /** Shares in regular hours. */
  public long regularVolume() {
    return volume() - seldom.outsideVolume;
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
    return seldom.excludedMoney + moneyFromFour();
  }

  /** The newest event that this state holds; {@link EventTape#NONE} before the first. */
  int lastEvent() {
    return lastEvent;
  }

  /** What has become of earlier prints. */
  Corrections corrections() {
    return seldom.corrections;
  }

  /** Whether a print was cancelled. */
  boolean cancels(int print) {
    return seldom.corrections.cancels(market.tape(), print);
  }

  /** The price of a print, as it stands corrected. */
  public long correctedPrice(int print) {
    return seldom.corrections.price(market.tape(), print);
  }

  /** The shares of a print, as it stands corrected. */
  public long correctedShares(int print) {
    return seldom.corrections.shares(market.tape(), print);
  }

  /** Shares after the close, extended hours only. */
  public long afterHoursVolume() {
    return seldom.outsideVolume - seldom.premarketVolume;
  }

  /** Whether the {@link MarketGauge} stays the same at a price. */
  boolean isGaugedAt(long price) {
    return price >= gaugedFrom && price <= gaugedTo;
  }

  /** Notes between which prices the {@link MarketGauge} stays the same. */
  void gaugedWithin(long low, long high) {
    gaugedFrom = low;
    gaugedTo = high;
  }

  /** How many of the last 30 minutes, the running one included, carry no print. */
  public int idleMinutes(long now) {
    return RecentMinutes.idleAt(printMinutes, printMinute, (int) (now / DayTime.MINUTE));
  }

  /** Shares in (now - span, now]. Moments must not go back. */
  public long shares(SlidingSpan span, long now) {
    return seldom.window(span).shares(market.tape(), seldom.corrections, lastEvent, now);
  }

  /** Prints in (now - span, now]. */
  public int trades(SlidingSpan span, long now) {
    return seldom.window(span).trades(market.tape(), seldom.corrections, lastEvent, now);
  }

  /** When the next print leaves a sliding span, or before; Long.MAX_VALUE without any. */
  public long nextChange(SlidingSpan span, long now) {
    return seldom.window(span).nextChange(market.tape(), seldom.corrections, lastEvent, now);
  }

  /** This moment of the tape, to be read later. */
  public TapeMoment moment(long now) {
    return new TapeMoment(market.session(), seldom.corrections, lastEvent, now);
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
    return !hasTraded()
        ? Double.NaN
        : MinuteEma.with(minuteEma, minuteBars, Price.dollars(lastPrice));
  }

  /** Whether the security trades, and its halts. */
  public StatusSoFar status() {
    return seldom.status;
  }

  /** What has been reported of it. */
  public NewsSoFar news() {
    return seldom.news;
  }

  /**
   * The shares of the newest imbalance of an auction that has not happened yet, above 0 for buyers;
   * 0 without one.
   */
  public long imbalance() {
    int event = seldom.imbalance;
    if (event == EventTape.NONE || isOver(market.tape().time(event))) {
      return 0;
    }
    return market.tape().shares(event) * (market.tape().buyersWait(event) ? 1 : -1);
  }

  /** Whether the auction that was next at a moment has happened. */
  private boolean isOver(long told) {
    return told < SessionHours.OPEN ? opened : closeSoFar() != Price.NONE;
  }

  /** How many people talked of it in (now - span, now]. */
  public long mentions(long span, long now) {
    long count = 0;
    for (int event : seldom.mentions) {
      long at = market.tape().time(event);
      count += at > now - span && at <= now ? market.tape().shares(event) : 0;
    }
    return count;
  }

  /** Whether anybody has counted mentions of it today. */
  public boolean mentioned() {
    return seldom.mentions.length > 0;
  }
}
