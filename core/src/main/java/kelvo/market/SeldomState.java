package kelvo.market;

/**
 * The part of a security's state that few events touch, kept apart so that what nearly every print
 * touches lies close together in memory.
 */
final class SeldomState {
  long previousClose;
  long officialClose;
  long stateSince;
  TradingState tradingState = TradingState.TRADING;
  long newsAt = Long.MIN_VALUE;
  int newsItems;
  long premarketHigh;
  long premarketLow;
  long premarketVolume;
  long premarketTrades;
  boolean openIsOfficial;

  void copyFrom(SeldomState other) {
    previousClose = other.previousClose;
    officialClose = other.officialClose;
    stateSince = other.stateSince;
    tradingState = other.tradingState;
    newsAt = other.newsAt;
    newsItems = other.newsItems;
    premarketHigh = other.premarketHigh;
    premarketLow = other.premarketLow;
    premarketVolume = other.premarketVolume;
    premarketTrades = other.premarketTrades;
    openIsOfficial = other.openIsOfficial;
  }
}
