package kelvo.practice;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import kelvo.tape.Price;
import kelvo.trade.Fill;

/**
 * What trading one symbol on paper has come to, without its prices.
 *
 * @param position 1 when long, -1 when short, 0 when nothing is held
 * @param made what was won so far and what is held at the last price, before fees, as a part of
 *     {@link #DOLLARS}
 * @param traded whether anything was filled
 */
public record BlindResult(int position, double made, boolean traded) {
  /** What each order buys or sells. */
  public static final double DOLLARS = 10_000;

  /**
   * The result of fills of one symbol.
   *
   * @param last the last price, {@link Price} units; of no account when nothing is held
   */
  public static BlindResult of(List<Fill> fills, long last) {
    BigDecimal cash = BigDecimal.ZERO;
    long held = 0;
    for (Fill fill : fills) {
      BigDecimal paid = fill.price().multiply(fill.quantity());
      cash = fill.side().sign() > 0 ? cash.subtract(paid) : cash.add(paid);
      held += fill.side().sign() * fill.quantity().longValueExact();
    }
    double worth = held == 0 ? 0 : held * Price.dollars(last);
    return new BlindResult(
        Long.signum(held), (cash.doubleValue() + worth) / DOLLARS, !fills.isEmpty());
  }

  /** How many shares an order is of, at least one. */
  public static long shares(long price) {
    return Math.max(1, (long) (DOLLARS / Price.dollars(price)));
  }

  /**
   * The exits of a bracket so far from a price.
   *
   * @param stop a part of the price, as the target; above 0
   */
  public static PaperOrder.Exits exits(long price, int way, double stop, double target) {
    return new PaperOrder.Exits(
        Math.max(1, Math.round(price * (1 - way * stop))),
        Math.max(1, Math.round(price * (1 + way * target))));
  }

  /** As a sentence. */
  public String words() {
    String sum = String.format(Locale.ROOT, "%+.2f%% of a position so far.", 100 * made);
    return switch (position) {
      case 1 -> "You are long, " + sum;
      case -1 -> "You are short, " + sum;
      default -> traded ? "Nothing is held, " + sum : "Nothing is held.";
    };
  }
}
