package kelvo.research.bars;

import kelvo.state.Effect;
import kelvo.state.Subject;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/**
 * What minute bars have told of one security so far: one security after another in the same memory.
 * Prices are {@link Price} units, 0 while there is none. Owned by one thread.
 */
final class BarState implements Subject {
  private static final int OPEN = (int) (SessionHours.OPEN / DayTime.MINUTE);

  /** The bars' price is the mean of high, low and close, so that money is three times itself. */
  static final double PRICES_A_BAR = 3;

  private final int closeMinute;
  private final boolean countsTrades;
  private int id;
  private long previousClose;
  private double floatShares;
  private long price;
  private long open;
  private long dayHigh;
  private long dayLow;
  private long premarketHigh;
  private long premarketLow;
  private long sessionHigh;
  private long sessionLow;
  private long volume;
  private long premarketVolume;
  private long regularVolume;
  private long trades;
  private long premarketTrades;
  private long threefoldMoney;
  private long threefoldPremarketMoney;
  private long threefoldRegularMoney;

  /**
   * For the securities of a session.
   *
   * @param hours when its bars are of regular hours
   * @param countsTrades whether the bars tell how many prints they are of
   */
  BarState(SessionHours hours, boolean countsTrades) {
    this.countsTrades = countsTrades;
    closeMinute = (int) (hours.close() / DayTime.MINUTE);
  }

  /** Begins with another security, before its first bar. */
  void begin(int security, long closeBefore, double shares) {
    id = security;
    previousClose = closeBefore;
    floatShares = shares;
    price = Price.NONE;
    open = Price.NONE;
    dayHigh = Price.NONE;
    dayLow = Price.NONE;
    premarketHigh = Price.NONE;
    premarketLow = Price.NONE;
    sessionHigh = Price.NONE;
    sessionLow = Price.NONE;
    volume = 0;
    premarketVolume = 0;
    regularVolume = 0;
    trades = 0;
    premarketTrades = 0;
    threefoldMoney = 0;
    threefoldPremarketMoney = 0;
    threefoldRegularMoney = 0;
  }

  /** Takes the next bar and returns the {@link Effect} bits of new extremes. */
  int take(BarRows bars, int row) {
    int minute = bars.minute(row);
    long high = bars.high(row);
    long low = bars.low(row);
    long shares = bars.volume(row);
    long money = (high + low + bars.close(row)) * shares;
    price = bars.close(row);
    volume += shares;
    trades += bars.trades(row);
    threefoldMoney += money;
    int effect = 0;
    if (minute < OPEN) {
      premarketVolume += shares;
      premarketTrades += bars.trades(row);
      threefoldPremarketMoney += money;
      effect |= high > premarketHigh && premarketHigh != Price.NONE ? Effect.PREMARKET_HIGH : 0;
      effect |= low < premarketLow ? Effect.PREMARKET_LOW : 0;
      premarketHigh = Math.max(premarketHigh, high);
      premarketLow = lower(premarketLow, low);
    } else if (minute < closeMinute) {
      regularVolume += shares;
      threefoldRegularMoney += money;
      open = open == Price.NONE ? bars.open(row) : open;
      effect |= high > dayHigh && dayHigh != Price.NONE ? Effect.DAY_HIGH : 0;
      effect |= low < dayLow ? Effect.DAY_LOW : 0;
      dayHigh = Math.max(dayHigh, high);
      dayLow = lower(dayLow, low);
    }
    effect |= high > sessionHigh && sessionHigh != Price.NONE ? Effect.SESSION_HIGH : 0;
    effect |= low < sessionLow ? Effect.SESSION_LOW : 0;
    sessionHigh = Math.max(sessionHigh, high);
    sessionLow = lower(sessionLow, low);
    return effect;
  }

  private static long lower(long soFar, long low) {
    return soFar == Price.NONE ? low : Math.min(soFar, low);
  }

  @Override
  public int id() {
    return id;
  }

  long previousClose() {
    return previousClose;
  }

  /** Shares; NaN when unknown. */
  double floatShares() {
    return floatShares;
  }

  /** The close of the newest bar. */
  long price() {
    return price;
  }

  /** The open of the first bar of regular hours. */
  long open() {
    return open;
  }

  long dayHigh() {
    return dayHigh;
  }

  long dayLow() {
    return dayLow;
  }

  long premarketHigh() {
    return premarketHigh;
  }

  long premarketLow() {
    return premarketLow;
  }

  long sessionHigh() {
    return sessionHigh;
  }

  long sessionLow() {
    return sessionLow;
  }

  long volume() {
    return volume;
  }

  long premarketVolume() {
    return premarketVolume;
  }

  long regularVolume() {
    return regularVolume;
  }

  /** NaN when the bars do not count them. */
  double trades() {
    return countsTrades ? trades : Double.NaN;
  }

  /** Likewise. */
  double premarketTrades() {
    return countsTrades ? premarketTrades : Double.NaN;
  }

  /** Three times the sum of each bar's price times its shares, price units. */
  long threefoldMoney() {
    return threefoldMoney;
  }

  /** Likewise of the bars before 09:30. */
  long threefoldPremarketMoney() {
    return threefoldPremarketMoney;
  }

  /** Dollars: of the bars since 04:00 before 09:30, of those of regular hours from then on. */
  double vwapAt(long now) {
    return now >= SessionHours.OPEN
        ? dollars(threefoldRegularMoney) / regularVolume
        : dollars(threefoldPremarketMoney) / premarketVolume;
  }

  /** Dollars of what is three times its money. */
  static double dollars(long threefold) {
    return threefold / (PRICES_A_BAR * Price.DOLLAR);
  }
}
