package kelvo.market;

/**
 * What fields say of the whole market, kept up to date price by price: how many common stocks are
 * up and how many have moved far. One gauge an engine, owned by its thread.
 */
public final class MarketGauge {
  private static final int MOVER = 10;
  private static final int KNOWN = 1;
  private static final int UP = 2;
  private static final int FAR = 4;
  private static final int BOUNDS = 2;

  private final Session session;
  private final byte[] standings;
  private final long[] closes;

  /** By security, the lowest and the highest price at which nothing changes. */
  private final long[] bounds;

  private int known;
  private int up;
  private int movers;

  /** A gauge before the first price. */
  public MarketGauge(Session session) {
    this.session = session;
    standings = new byte[session.securities().size()];
    bounds = new long[standings.length * BOUNDS];
    closes = session.securities().stream().mapToLong(SecurityFacts::previousClose).toArray();
    clear();
  }

  private void clear() {
    known = 0;
    up = 0;
    movers = 0;
    for (int i = 0; i < standings.length; i++) {
      SecurityFacts facts = session.security(i);
      boolean counts =
          facts.security().kind() == SecurityKind.COMMON_STOCK
              && facts.previousClose() != Price.NONE;
      standings[i] = 0;
      bounds[i * BOUNDS] = counts ? Long.MAX_VALUE : Long.MIN_VALUE;
      bounds[i * BOUNDS + 1] = Long.MAX_VALUE;
    }
  }

  /** Takes the price of a security; {@link Price#NONE} while it has none. */
  public void priced(int security, long price) {
    int place = security * BOUNDS;
    if ((price < bounds[place] || price > bounds[place + 1]) && price != Price.NONE) {
      stand(security, price);
    }
  }

  private void stand(int security, long price) {
    long close = closes[security];
    long farBelow = close - close / MOVER;
    long farAbove = close + close / MOVER;
    boolean far = price < farBelow || price > farAbove;
    int now = KNOWN | (price > close ? UP : 0) | (far ? FAR : 0);
    int before = standings[security];
    known += (now & KNOWN) - (before & KNOWN);
    up += ((now & UP) - (before & UP)) / UP;
    movers += ((now & FAR) - (before & FAR)) / FAR;
    standings[security] = (byte) now;
    int place = security * BOUNDS;
    if (price > close) {
      bounds[place] = far ? farAbove + 1 : close + 1;
      bounds[place + 1] = far ? Long.MAX_VALUE : farAbove;
    } else {
      bounds[place] = far ? Long.MIN_VALUE : farBelow;
      bounds[place + 1] = far ? farBelow - 1 : close;
    }
  }

  /** Begins anew with the states of a moment. */
  public void restore(SymbolState[] states) {
    clear();
    for (SymbolState state : states) {
      if (state.lastPrice() != Price.NONE) {
        priced(state.id(), state.lastPrice());
      }
    }
  }

  /** Share of the common stocks with a print today whose price is up, per cent; NaN without any. */
  public double shareUp() {
    return known == 0 ? Double.NaN : 100.0 * up / known;
  }

  /** How many common stocks are more than 10% away from their previous close. */
  public int movers() {
    return movers;
  }
}
