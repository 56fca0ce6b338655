package kelvo.state;

import java.util.Arrays;
import kelvo.session.SecurityKind;
import kelvo.session.Session;
import kelvo.tape.Price;

/**
 * What fields say of the whole market, kept up to date price by price: how many common stocks are
 * up and how many have moved far. One gauge an engine, owned by its thread.
 */
public final class MarketGauge {
  private static final int MOVER = 10;
  private static final int KNOWN = 1;
  private static final int UP = 2;
  private static final int FAR = 4;

  /**
   * The previous closes of the common stocks; {@link Price#NONE} where there is nothing to count.
   */
  private final long[] closes;

  private final byte[] standings;
  private int known;
  private int up;
  private int movers;

  /** A gauge before the first price. */
  public MarketGauge(Session session) {
    closes =
        session.securities().stream()
            .mapToLong(
                facts ->
                    facts.security().kind() == SecurityKind.COMMON_STOCK
                        ? facts.previousClose()
                        : Price.NONE)
            .toArray();
    standings = new byte[closes.length];
  }

  /** Takes the last price of a security, if it has one. */
  public void priced(SymbolState state) {
    long price = state.lastPrice();
    if (!state.isGaugedAt(price) && price != Price.NONE) {
      stand(state, price);
    }
  }

  private void stand(SymbolState state, long price) {
    int security = state.id();
    long close = closes[security];
    if (close == Price.NONE) {
      state.gaugedWithin(Long.MIN_VALUE, Long.MAX_VALUE);
      return;
    }
    long farBelow = close - close / MOVER;
    long farAbove = close + close / MOVER;
    boolean far = price < farBelow || price > farAbove;
    int now = KNOWN | (price > close ? UP : 0) | (far ? FAR : 0);
    int before = standings[security];
    known += (now & KNOWN) - (before & KNOWN);
    up += ((now & UP) - (before & UP)) / UP;
    movers += ((now & FAR) - (before & FAR)) / FAR;
    standings[security] = (byte) now;
    if (price > close) {
      state.gaugedWithin(far ? farAbove + 1 : close + 1, far ? Long.MAX_VALUE : farAbove);
    } else {
      state.gaugedWithin(far ? Long.MIN_VALUE : farBelow, far ? farBelow - 1 : close);
    }
  }

  /** Starts again from the states of a moment. */
  public void restore(SymbolState[] states) {
    known = 0;
    up = 0;
    movers = 0;
    Arrays.fill(standings, (byte) 0);
    for (SymbolState state : states) {
      state.gaugedWithin(Long.MAX_VALUE, Long.MAX_VALUE);
      priced(state);
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
