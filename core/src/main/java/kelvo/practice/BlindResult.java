package kelvo.practice;

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
 * @param entry the mean price of what is held, dollars; NaN when nothing is
 * @param stop where it is given back, dollars; NaN without a stop
 */
public record BlindResult(int position, double made, boolean traded, double entry, double stop) {
  /** What each order buys or sells. */
  public static final double DOLLARS = 10_000;

  /**
   * The result in one symbol.
   *
   * @param last the last price, {@link Price} units; of no account when nothing is held
   */
  public static BlindResult of(PaperAccount account, String symbol, long last) {
    List<Fill> fills =
        account.fills().stream().filter(fill -> fill.symbol().equals(symbol)).toList();
    double cash = 0;
    long held = 0;
    double mean = 0;
    for (Fill fill : fills) {
      double price = fill.price().doubleValue();
      long shares = fill.side().sign() * fill.quantity().longValueExact();
      long then = held + shares;
      cash -= shares * price;
      if (held == 0 || Long.signum(then) == -Long.signum(held)) {
        mean = price;
      } else if (Math.abs(then) > Math.abs(held)) {
        mean = (mean * held + price * shares) / then;
      }
      held = then;
    }
    double stop =
        account.working().stream()
            .filter(order -> order.symbol().equals(symbol))
            .map(PaperBroker.Working::terms)
            .filter(Terms.Stop.class::isInstance)
            .mapToDouble(terms -> Price.dollars(((Terms.Stop) terms).price()))
            .findFirst()
            .orElse(Double.NaN);
    return new BlindResult(
        Long.signum(held),
        (cash + (held == 0 ? 0 : held * Price.dollars(last))) / DOLLARS,
        !fills.isEmpty(),
        held == 0 ? Double.NaN : mean,
        stop);
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
