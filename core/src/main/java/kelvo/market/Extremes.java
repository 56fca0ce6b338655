package kelvo.market;

/** The highest and lowest eligible print of a span, {@link Price} units. */
public final class Extremes {
  private long high;
  private long low;

  /**
   * Takes a print; returns the bit given for a new high or low. The first print is no new extreme.
   */
  int next(long price, int highBit, int lowBit) {
    if (high == Price.NONE) {
      high = price;
      low = price;
      return 0;
    }
    if (price > high) {
      high = price;
      return highBit;
    }
    if (price < low) {
      low = price;
      return lowBit;
    }
    return 0;
  }

  /** The high; {@link Price#NONE} before the first print. */
  public long high() {
    return high;
  }

  /** The low; {@link Price#NONE} before the first print. */
  public long low() {
    return low;
  }

  void copyFrom(Extremes other) {
    high = other.high;
    low = other.low;
  }
}
