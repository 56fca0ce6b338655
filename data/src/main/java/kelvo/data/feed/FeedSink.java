package kelvo.data.feed;

import kelvo.news.Catalyst;
import kelvo.tape.TradingState;
import kelvo.trade.Fill;

/**
 * Takes the events of a feed in their order. Times are {@link kelvo.time.DayTime}, to the
 * millisecond; prices {@link kelvo.tape.Price} units. Called on the feed's thread. Every method may
 * throw RefusedException with what is wrong with the event, which is then left out.
 */
public interface FeedSink {
  /** A print; {@code conditions} are bits of {@link kelvo.tape.SaleCondition}. */
  void trade(long at, String symbol, long price, long shares, int conditions, long id);

  /** A quote; a side without a price is {@link kelvo.tape.Price#NONE}. */
  void quote(long at, String symbol, long bid, int bidShares, long ask, int askShares);

  /** A change of the trading state. */
  void status(long at, String symbol, TradingState state, String reason);

  /** A print is cancelled. */
  void cancel(long at, String symbol, long id);

  /** A print is corrected. */
  void correct(long at, String symbol, long id, long price, long shares);

  /** An auction imbalance. */
  void imbalance(long at, String symbol, boolean buyers, int paired, long shares, long reference);

  /** How many people have talked of a security. */
  void mention(long at, String symbol, long count);

  /** A news item. */
  void news(Catalyst item);

  /** A fill of the trader's own. */
  void fill(Fill fill);

  /** All events up to a moment have been told. */
  void heartbeat(long at);

  /** The events of a frame follow. */
  default void frameBegins(long seq) {}

  /** All events of a frame have been handed over. */
  void frameDone(long seq);
}
