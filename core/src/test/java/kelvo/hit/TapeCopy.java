package kelvo.hit;

import kelvo.tape.EventTape;

/** Copies events from one tape to another, as a feed would bring them. */
public final class TapeCopy {
  private TapeCopy() {}

  public static void event(EventTape from, int i, EventTape to) {
    long at = from.time(i);
    int symbol = from.symbol(i);
    switch (from.kind(i)) {
      case TRADE ->
          to.trade(at, symbol, from.price(i), from.shares(i), from.conditions(i), from.id(i));
      case QUOTE ->
          to.quote(at, symbol, from.bid(i), from.bidShares(i), from.ask(i), from.askShares(i));
      case STATUS -> to.status(at, symbol, from.state(i), from.reason(i));
      case CORRECTION -> {
        if (from.isCancel(i)) {
          to.cancel(at, symbol, from.id(i));
        } else {
          to.correct(at, symbol, from.id(i), from.price(i), from.shares(i));
        }
      }
      case IMBALANCE ->
          to.imbalance(
              at, symbol, from.buyersWait(i), from.paired(i), from.shares(i), from.price(i));
      case MENTION -> to.mention(at, symbol, from.shares(i));
      case NEWS -> to.news(at, symbol, from.newsItem(i));
    }
  }
}
