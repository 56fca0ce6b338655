package kelvo.state;

import java.util.Arrays;
import kelvo.session.Session;
import kelvo.tape.Corrections;
import kelvo.tape.EventTape;
import kelvo.tape.Price;

/**
 * The part of a security's state that few events touch, kept apart so that what nearly every print
 * touches lies close together in memory.
 */
final class SeldomState {
  final long previousClose;
  private final SlidingVolume lastMinute = new SlidingVolume(SlidingSpan.ONE_MINUTE);
  private final SlidingVolume lastFiveMinutes = new SlidingVolume(SlidingSpan.FIVE_MINUTES);

  /** Money and shares of all prints of the VWAP since 04:00 that are not in regular hours. */
  long unanchoredMoney;

  long unanchoredShares;

  /** Money and shares of all prints that the VWAP leaves out. */
  long excludedMoney;

  long excludedShares;

  /** Shares outside regular hours. */
  long outsideVolume;

  long premarketVolume;
  long premarketMoney;
  long premarketTrades;
  long premarketHigh;
  long premarketLow;
  long sessionHigh;
  long sessionLow;
  long open;

  /** When an official open was told; 0 before. */
  long officialOpenAt;

  long officialClose;
  long officialCloseAt;

  /** The last eligible regular print, once a print after the close has come. */
  long lastRegular;

  final StatusSoFar status = new StatusSoFar();
  final NewsSoFar news;
  int imbalance = EventTape.NONE;
  int[] mentions = {};
  Corrections corrections = Corrections.NONE;

  SeldomState(long previousClose, Session session, int security) {
    this.previousClose = previousClose;
    news = new NewsSoFar(session, security);
  }

  SlidingVolume window(SlidingSpan span) {
    return span == SlidingSpan.ONE_MINUTE ? lastMinute : lastFiveMinutes;
  }

  static int[] append(int[] values, int value) {
    int[] longer = Arrays.copyOf(values, values.length + 1);
    longer[values.length] = value;
    return longer;
  }

  void countUnanchored(long money, long size, boolean inVwap) {
    if (inVwap) {
      unanchoredMoney += money;
      unanchoredShares += size;
    } else {
      excludedMoney += money;
      excludedShares += size;
    }
  }

  void countOutside(long money, long size, boolean beforeOpen) {
    outsideVolume += size;
    if (beforeOpen) {
      premarketVolume += size;
      premarketMoney += money;
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
    lastMinute.copyFrom(other.lastMinute);
    lastFiveMinutes.copyFrom(other.lastFiveMinutes);
    unanchoredMoney = other.unanchoredMoney;
    unanchoredShares = other.unanchoredShares;
    excludedMoney = other.excludedMoney;
    excludedShares = other.excludedShares;
    outsideVolume = other.outsideVolume;
    premarketVolume = other.premarketVolume;
    premarketMoney = other.premarketMoney;
    premarketTrades = other.premarketTrades;
    premarketHigh = other.premarketHigh;
    premarketLow = other.premarketLow;
    sessionHigh = other.sessionHigh;
    sessionLow = other.sessionLow;
    open = other.open;
    officialOpenAt = other.officialOpenAt;
    officialClose = other.officialClose;
    officialCloseAt = other.officialCloseAt;
    lastRegular = other.lastRegular;
    status.copyFrom(other.status);
    news.copyFrom(other.news);
    imbalance = other.imbalance;
    mentions = other.mentions;
    corrections = other.corrections;
  }
}
