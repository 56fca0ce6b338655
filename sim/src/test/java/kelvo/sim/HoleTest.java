package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import kelvo.data.feed.FeedAddress;
import kelvo.data.feed.FeedClient;
import kelvo.data.feed.FeedReader;
import kelvo.data.feed.FeedSink;
import kelvo.market.TradingState;
import org.java_websocket.WebSocket;
import org.java_websocket.handshake.ClientHandshake;
import org.java_websocket.server.WebSocketServer;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** A server that loses frames: the client asks again, and gives up on what never comes whole. */
class HoleTest {
  private static final int FRAMES = 60;

  /** Leaves out a frame on the first greeting only, and breaks another one every time. */
  private static final class Careless extends WebSocketServer {
    final CompletableFuture<Integer> listening = new CompletableFuture<>();
    final int lost;
    final int broken;
    int greetings;

    Careless(int lost, int broken) {
      super(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0));
      this.lost = lost;
      this.broken = broken;
      setDaemon(true);
    }

    @Override
    public void onStart() {
      listening.complete(getPort());
    }

    @Override
    public void onOpen(WebSocket connection, ClientHandshake handshake) {}

    @Override
    public void onMessage(WebSocket connection, String text) {
      greetings++;
      connection.send("{\"welcome\":1,\"session\":\"2031-03-12\",\"seq\":" + FRAMES + "}");
      for (int seq = Math.max(1, from(text)); seq <= FRAMES; seq++) {
        if (seq == broken) {
          connection.send("{\"seq\":" + seq + ",\"e\":[[\"t\",");
        } else if (seq != lost || greetings > 1) {
          connection.send("{\"seq\":" + seq + ",\"e\":[[\"b\",1],[\"b\",2]]}");
        }
      }
    }

    private static int from(String hello) {
      try {
        return new ObjectMapper().readTree(hello).path("from").asInt();
      } catch (JsonProcessingException e) {
        throw new IllegalArgumentException(e);
      }
    }

    @Override
    public void onClose(WebSocket connection, int code, String reason, boolean remote) {}

    @Override
    public void onError(@Nullable WebSocket connection, Exception error) {}
  }

  /** Remembers which frames were done. */
  private static final class Frames implements FeedClient.Listener, FeedSink {
    final List<Long> done = new ArrayList<>();
    final List<String> faults = new ArrayList<>();
    final CompletableFuture<Boolean> last = new CompletableFuture<>();

    @Override
    public FeedReader session(LocalDate date) {
      return new FeedReader(date, this, faults::add);
    }

    @Override
    public void frameDone(long seq) {
      done.add(seq);
      if (seq == FRAMES) {
        last.complete(true);
      }
    }

    @Override
    public void standing(FeedClient.Standing standing, String why) {}

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
    public void mention(long at, String symbol, long count) {}

    @Override
    public void news(kelvo.news.Catalyst item) {}

    @Override
    public void fill(kelvo.trade.Fill fill) {}

    @Override
    public void heartbeat(long at) {}
  }

  private static Frames follow(Careless server) throws Exception {
    server.start();
    Frames frames = new Frames();
    try (FeedClient client =
        new FeedClient(
            new FeedAddress(
                URI.create("ws://localhost:" + server.listening.get(20, TimeUnit.SECONDS)), ""),
            0,
            new FeedClient.Patience(
                Duration.ofMillis(1), Duration.ofMillis(5), Duration.ofSeconds(20)),
            frames,
            System::nanoTime)) {
      client.start();
      frames.last.get(30, TimeUnit.SECONDS);
    } finally {
      server.stop(1_000);
    }
    return frames;
  }

  @Test
  void aLostFrameIsAskedForOnceAndNothingIsDoneTwice() throws Exception {
    Careless server = new Careless(7, -1);
    Frames frames = follow(server);

    assertThat(frames.done).hasSize(FRAMES).isSorted().doesNotHaveDuplicates();
    assertThat(frames.faults).isEmpty();
    assertThat(server.greetings).isEqualTo(2);
  }

  @Test
  void aFrameThatIsBrokenEveryTimeIsGivenUpWithAWord() throws Exception {
    Frames frames = follow(new Careless(-1, 9));

    assertThat(frames.done).hasSize(FRAMES - 1).isSorted().doesNotContain(9L);
    assertThat(frames.faults)
        .anySatisfy(f -> assertThat(f).contains("frames 9 to 9 were asked for"));
  }
}
