package kelvo.history;

/** The daily {@link Coil} of one security, today's provisional close (its price) included. */
public final class DailyCoil {
  private final double[] closes;
  private final double[] emas;
  private final double[] atrs;
  private final double yesterday;
  private final int since;

  /** The coil of a security with some history. */
  public DailyCoil(DailyHistory history) {
    closes = history.closes();
    emas = Averages.ema(closes, Coil.BARS);
    atrs = Averages.atr(history.bars(), Coil.BARS);
    int last = closes.length - 1;
    yesterday = last < 0 ? Double.NaN : on(last);
    int same = 0;
    while (same < last && on(last - same - 1) == yesterday) {
      same++;
    }
    since = same;
  }

  private double on(int bar) {
    return bar + 1 < Coil.BARS
        ? Double.NaN
        : Coil.of(closes, bar + 1 - Coil.BARS, closes[bar], emas[bar], atrs[bar]);
  }

  /** Whether it was coiled at the last close: 1, 0 or unknown (NaN). */
  public double yesterday() {
    return yesterday;
  }

  /** Whether it is coiled at a price: 1, 0 or unknown (NaN). */
  public double at(double price) {
    int n = closes.length;
    return n < Coil.BARS
        ? Double.NaN
        : Coil.of(
            closes,
            n + 1 - Coil.BARS,
            price,
            Averages.emaStep(emas[n - 1], price, Coil.BARS),
            atrs[n - 1]);
  }

  /** Sessions since it changed, today's provisional change included; NaN when unknown. */
  public double barsSince(double price) {
    double now = at(price);
    if (Double.isNaN(now) || Double.isNaN(yesterday)) {
      return Double.NaN;
    }
    return now == yesterday ? since + 1 : 0;
  }
}
