package kelvo.market;

/** A volume-weighted average price, kept as exact sums: money over shares. */
public final class AveragePrice {
  long money;
  long shares;
  boolean crossed;

  /** Adds a print: price times size, and size. */
  void add(long printMoney, long size) {
    money += printMoney;
    shares += size;
  }

  /** The average in dollars; unknown (NaN) before the first print. */
  public double dollars() {
    return shares == 0 ? Double.NaN : money / (double) shares / Price.DOLLAR;
  }

  void copyFrom(AveragePrice other) {
    money = other.money;
    shares = other.shares;
    crossed = other.crossed;
  }
}
