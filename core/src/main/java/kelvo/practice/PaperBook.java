package kelvo.practice;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import kelvo.research.UsualSpreads;
import kelvo.tape.Price;
import kelvo.tape.TradingState;

/**
 * The orders in one security, and what there is to fill them with: the quote in force and each
 * eligible print. Shares of a quote or a print are given once, to the order that came first. Owned
 * by its broker.
 */
final class PaperBook {
  private static final BigDecimal HALF = new BigDecimal("0.5");

  private final List<WorkingOrder> working = new ArrayList<>();
  private final String symbol;
  private final UsualSpreads usual;
  private final Filled filled;
  private boolean halted;
  private boolean quoted;
  private long bid;
  private long bidShares;
  private long ask;
  private long askShares;

  /** Hears of a fill. */
  @FunctionalInterface
  interface Filled {
    /** Shares of an order at a price in dollars. */
    void fill(WorkingOrder order, long shares, BigDecimal price, long at);
  }

  PaperBook(String symbol, UsualSpreads usual, Filled filled) {
    this.symbol = symbol;
    this.usual = usual;
    this.filled = filled;
  }

  /** What is not done, in the order in which it came. */
  List<WorkingOrder> working() {
    return List.copyOf(working);
  }

  void add(WorkingOrder order, long now) {
    working.add(order);
    standing(order);
    byQuote(order, now);
    tidy();
  }

  void cancel(long id) {
    working.stream().filter(order -> order.id() == id).forEach(WorkingOrder::cancel);
    tidy();
  }

  void status(TradingState state) {
    halted = state != TradingState.TRADING;
  }

  void quote(long newBid, long newBidShares, long newAsk, long newAskShares, long now) {
    quoted = true;
    bid = newBid;
    bidShares = newBidShares;
    ask = newAsk;
    askShares = newAskShares;
    for (WorkingOrder order : working()) {
      standing(order);
      byQuote(order, now);
    }
    tidy();
  }

  /** An order that comes to stand at the best price of its side stands behind what is shown. */
  private void standing(WorkingOrder order) {
    if (order.terms() instanceof Terms.Limit limit) {
      boolean best = order.way() > 0 ? limit.price() == bid : limit.price() == ask;
      if (best) {
        order.behind(order.way() > 0 ? bidShares : askShares);
      }
    }
  }

  /** Fills an order that takes the other side of the quote, with at most what is shown. */
  private void byQuote(WorkingOrder order, long now) {
    long price = order.way() > 0 ? ask : bid;
    long shown = order.way() > 0 ? askShares : bidShares;
    boolean takes =
        switch (order.terms()) {
          case Terms.Market market -> true;
          case Terms.Limit limit -> order.way() * (limit.price() - price) >= 0;
          case Terms.Stop stop -> false;
          case Terms.StopLimit stop -> false;
        };
    long shares = Math.min(order.left(), shown);
    if (halted || !takes || price == Price.NONE || shares <= 0) {
      return;
    }
    if (order.way() > 0) {
      askShares -= shares;
    } else {
      bidShares -= shares;
    }
    fill(order, shares, BigDecimal.valueOf(price, 4), now);
  }

  /**
   * An eligible print.
   *
   * @param at when it happened, which may be before it is told
   */
  void print(long price, long shares, long at, long now) {
    if (halted) {
      return;
    }
    long left = shares;
    for (WorkingOrder order : working()) {
      left -= at < order.since() ? 0 : byPrint(order, price, left, at, now);
    }
    tidy();
  }

  /** Returns how many of a print's shares an order has taken. */
  private long byPrint(WorkingOrder order, long price, long shares, long at, long now) {
    if (order.isDone()) {
      return 0;
    }
    return switch (order.terms()) {
      case Terms.Market market ->
          quoted ? 0 : take(order, shares, withHalfTheSpread(order, price, at), now);
      case Terms.Limit limit -> {
        long better = order.way() * (limit.price() - price);
        long reached = better == 0 ? order.reached(shares) : better > 0 ? shares : 0;
        yield take(order, reached, BigDecimal.valueOf(limit.price(), 4), now);
      }
      case Terms.Stop stop -> {
        if (order.way() * (price - stop.price()) >= 0) {
          order.become(new Terms.Market());
          byQuote(order, now);
        }
        yield 0;
      }
      case Terms.StopLimit stop -> {
        if (order.way() * (price - stop.stop()) >= 0) {
          order.become(new Terms.Limit(stop.limit()));
          standing(order);
          byQuote(order, now);
        }
        yield 0;
      }
    };
  }

  private long take(WorkingOrder order, long available, BigDecimal price, long now) {
    long shares = Math.min(order.left(), available);
    if (shares > 0) {
      fill(order, shares, price, now);
    }
    return Math.max(0, shares);
  }

  /** Without quotes what the spread usually is stands for the one that nobody showed. */
  private BigDecimal withHalfTheSpread(WorkingOrder order, long price, long at) {
    BigDecimal half = BigDecimal.valueOf(usual.assumed(symbol, at, price), 4).multiply(HALF);
    return BigDecimal.valueOf(price, 4).add(half.multiply(BigDecimal.valueOf(order.way())));
  }

  private void fill(WorkingOrder order, long shares, BigDecimal price, long now) {
    order.take(shares);
    filled.fill(order, shares, price, now);
    Bracket bracket = order.bracket();
    if (bracket == null) {
      return;
    }
    if (bracket.isExit(order)) {
      bracket.left(order, shares);
    } else {
      // From the next event on: what has filled the entry cannot fill its exits.
      working.addAll(bracket.entered(shares, now));
    }
  }

  private void tidy() {
    working.removeIf(WorkingOrder::isDone);
  }
}
