package kelvo.sim;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.function.LongConsumer;
import kelvo.data.feed.FeedClient;
import kelvo.data.feed.FeedReader;
import kelvo.data.feed.FeedSink;
import kelvo.news.Catalyst;
import kelvo.tape.TradingState;
import kelvo.trade.Fill;

/** Remembers which frames were done, what came in them and what was reported. */
final class HeardFrames implements FeedClient.Listener, FeedSink {
  final List<Long> done = new ArrayList<>();
  final List<String> faults = new ArrayList<>();
  final List<Long> mentions = new ArrayList<>();
  final CompletableFuture<Boolean> last = new CompletableFuture<>();
  final CompletableFuture<String> refused = new CompletableFuture<>();
  private final int frames;
  private final LongConsumer afterFrame;

  /**
   * Nothing heard yet.
   *
   * @param frames the number of the last frame
   */
  HeardFrames(int frames) {
    this(frames, seq -> {});
  }

  /**
   * Nothing heard yet.
   *
   * @param afterFrame is called after each frame and may throw
   */
  HeardFrames(int frames, LongConsumer afterFrame) {
    this.frames = frames;
    this.afterFrame = afterFrame;
  }

  @Override
  public FeedReader session(LocalDate date) {
    return new FeedReader(date, this, faults::add);
  }

  @Override
  public void frameDone(long seq) {
    done.add(seq);
    if (seq >= frames) {
      last.complete(true);
    }
    afterFrame.accept(seq);
  }

  @Override
  public void status(FeedClient.Status status, String why) {
    if (status == FeedClient.Status.REFUSED) {
      refused.complete(why);
    }
  }

  @Override
  public void fault(String sentence) {
    faults.add(sentence);
  }

  @Override
  public void trade(long at, String symbol, long price, long shares, int conditions, long id) {}

  @Override
  public void quote(long at, String symbol, long bid, int bidSize, long ask, int askSize) {}

  @Override
  public void status(long at, String symbol, TradingState state, String reason) {}

  @Override
  public void cancel(long at, String symbol, long id) {}

  @Override
  public void correct(long at, String symbol, long id, long price, long shares) {}

  @Override
  public void imbalance(
      long at, String symbol, boolean buyers, int paired, long shares, long reference) {}

  @Override
  public void mention(long at, String symbol, long count) {
    mentions.add(count);
  }

  @Override
  public void news(Catalyst item) {}

  @Override
  public void fill(Fill fill) {}

  @Override
  public void heartbeat(long at) {}

  @Override
  public void trouble(String what, Throwable cause) {
    faults.add(what + ": " + cause);
  }
}
