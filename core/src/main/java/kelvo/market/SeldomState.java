package kelvo.market;

import kelvo.time.DayTime;

/**
 * The part of a security's state that few events touch, kept apart so that what nearly every print
 * touches lies close together in memory.
 */
final class SeldomState {
  final long previousClose;
  final SlidingVolume lastFiveMinutes = new SlidingVolume(5 * DayTime.MINUTE);

  /** Money and shares of all prints of the VWAP since 04:00 that are not in regular hours. */
  long unanchoredMoney;

  long unanchoredShares;

  /** Shares outside regular hours. */
  long outsideVolume;

  long premarketVolume;
  long premarketTrades;
  long premarketHigh;
  long premarketLow;
  long sessionHigh;
  long sessionLow;
  long open;
  long officialClose;
  long stateSince;
  TradingState tradingState = TradingState.TRADING;
  long newsAt = Long.MIN_VALUE;
  int newsItems;

  SeldomState(long previousClose) {
    this.previousClose = previousClose;
  }

  void countOutside(long size, boolean beforeOpen) {
    outsideVolume += size;
    if (beforeOpen) {
      premarketVolume += size;
      premarketTrades++;
    }
  }

  /** The extremes of the session and the premarket that a print passes, as {@link Effect} bits. */
  int extremes(long price, boolean beforeOpen) {
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
    return beforeOpen ? effect | premarketExtremes(price) : effect;
  }

  private int premarketExtremes(long price) {
    if (premarketHigh == Price.NONE) {
      premarketHigh = price;
      premarketLow = price;
    } else if (price > premarketHigh) {
      premarketHigh = price;
      return Effect.PREMARKET_HIGH;
    } else if (price < premarketLow) {
      premarketLow = price;
      return Effect.PREMARKET_LOW;
    }
    return 0;
  }

  void copyFrom(SeldomState other) {
    lastFiveMinutes.copyFrom(other.lastFiveMinutes);
    unanchoredMoney = other.unanchoredMoney;
    unanchoredShares = other.unanchoredShares;
    outsideVolume = other.outsideVolume;
    premarketVolume = other.premarketVolume;
    premarketTrades = other.premarketTrades;
    premarketHigh = other.premarketHigh;
    premarketLow = other.premarketLow;
    sessionHigh = other.sessionHigh;
    sessionLow = other.sessionLow;
    open = other.open;
    officialClose = other.officialClose;
    stateSince = other.stateSince;
    tradingState = other.tradingState;
    newsAt = other.newsAt;
    newsItems = other.newsItems;
  }
}
