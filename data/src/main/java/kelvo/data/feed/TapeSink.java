package kelvo.data.feed;

import java.util.function.LongConsumer;
import kelvo.news.Catalyst;
import kelvo.refusal.RefusedException;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.SaleConditions;
import kelvo.tape.TradingState;
import kelvo.trade.Fill;

/** Puts a feed's events on the tape of a session that is still going on. */
public final class TapeSink implements FeedSink {
  private final Session session;
  private final EventTape tape;
  private final LongConsumer frameDone;

  /**
   * A sink for a session's own tape.
   *
   * @param frameDone hears of each frame once its events are on the tape
   */
  public TapeSink(Session session, LongConsumer frameDone) {
    this.session = session;
    this.frameDone = frameDone;
    tape = session.tape();
  }

  private int number(String symbol) {
    return session
        .numberOf(symbol)
        .orElseThrow(
            () -> new RefusedException(symbol + " is not in the securities file; add it there"));
  }

  @Override
  public void trade(long at, String symbol, long price, long shares, int conditions, long id) {
    int number = number(symbol);
    String mic = session.security(number).security().mic();
    tape.trade(at, number, price, shares, SaleConditions.of(conditions, mic), id);
  }

  @Override
  public void quote(long at, String symbol, long bid, int bidShares, long ask, int askShares) {
    tape.quote(at, number(symbol), bid, bidShares, ask, askShares);
  }

  @Override
  public void status(long at, String symbol, TradingState state, String reason) {
    tape.status(at, number(symbol), state, reason);
  }

  @Override
  public void cancel(long at, String symbol, long id) {
    known(tape.cancel(at, number(symbol), id), symbol);
  }

  @Override
  public void correct(long at, String symbol, long id, long price, long shares) {
    known(tape.correct(at, number(symbol), id, price, shares), symbol);
  }

  private static void known(boolean known, String symbol) {
    if (!known) {
      throw new RefusedException("expected the id of an earlier print of " + symbol);
    }
  }

  @Override
  public void imbalance(
      long at, String symbol, boolean buyers, int paired, long shares, long reference) {
    tape.imbalance(at, number(symbol), buyers, paired, shares, reference);
  }

  @Override
  public void mention(long at, String symbol, long count) {
    tape.mention(at, number(symbol), count);
  }

  @Override
  public void news(Catalyst item) {
    int number = session.arrived(item);
    for (String symbol : item.symbols()) {
      session.numberOf(symbol).ifPresent(s -> tape.news(item.known(), s, number));
    }
  }

  @Override
  public void fill(Fill fill) {
    // Fills belong to the ledger, not to the market's tape.
  }

  @Override
  public void heartbeat(long at) {
    // Nothing happened.
  }

  @Override
  public void frameDone(long seq) {
    frameDone.accept(seq);
  }
}
