package kelvo.sim;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.LongConsumer;
import kelvo.data.feed.FeedAddress;
import kelvo.data.feed.FeedClient;
import org.java_websocket.WebSocket;
import org.java_websocket.handshake.ClientHandshake;
import org.java_websocket.server.WebSocketServer;
import org.jspecify.annotations.Nullable;

/** A feed of a few frames on loopback, for tests in which a server does something wrong. */
abstract class LoopbackFeed extends WebSocketServer {
  private final int frames;
  private final CompletableFuture<Integer> listening = new CompletableFuture<>();
  private final AtomicInteger greetings = new AtomicInteger();

  LoopbackFeed(int frames) {
    super(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0));
    this.frames = frames;
    setDaemon(true);
    setTcpNoDelay(true);
  }

  /** Answers a greeting with the frames from one on. */
  abstract void send(WebSocket connection, int from);

  /** Lets a client follow it until its last frame, at most so long. */
  final HeardFrames follow(Duration silence)
      throws ExecutionException, InterruptedException, TimeoutException {
    return follow(silence, seq -> {});
  }

  /** Lets a client follow it; {@code afterFrame} is called after each frame and may throw. */
  final HeardFrames follow(Duration silence, LongConsumer afterFrame)
      throws ExecutionException, InterruptedException, TimeoutException {
    HeardFrames heard = new HeardFrames(frames, afterFrame);
    follow(heard, heard.last, silence);
    return heard;
  }

  /** Lets a client follow it until it follows no more. */
  final HeardFrames followUntilRefused(Duration silence)
      throws ExecutionException, InterruptedException, TimeoutException {
    HeardFrames heard = new HeardFrames(frames);
    follow(heard, heard.refused, silence);
    return heard;
  }

  private void follow(HeardFrames heard, CompletableFuture<?> end, Duration silence)
      throws ExecutionException, InterruptedException, TimeoutException {
    start();
    try (FeedClient client =
        new FeedClient(
            new FeedAddress(
                URI.create("ws://localhost:" + listening.get(20, TimeUnit.SECONDS)), ""),
            0,
            new FeedClient.Timeouts(Duration.ofMillis(1), Duration.ofMillis(5), silence),
            heard,
            System::nanoTime)) {
      client.start();
      end.get(60, TimeUnit.SECONDS);
    } finally {
      stop(1_000);
    }
  }

  /** How often it has been greeted so far. */
  final int greetings() {
    return greetings.get();
  }

  @Override
  public void onStart() {
    listening.complete(getPort());
  }

  @Override
  public void onMessage(WebSocket connection, String hello) {
    greetings.incrementAndGet();
    connection.send("{\"welcome\":1,\"session\":\"2031-03-12\",\"seq\":" + frames + "}");
    send(connection, Math.max(1, from(hello)));
  }

  private static int from(String hello) {
    try {
      return new ObjectMapper().readTree(hello).path("from").asInt();
    } catch (JsonProcessingException e) {
      throw new IllegalArgumentException(e);
    }
  }

  @Override
  public void onOpen(WebSocket connection, ClientHandshake handshake) {}

  @Override
  public void onClose(WebSocket connection, int code, String reason, boolean remote) {}

  @Override
  public void onError(@Nullable WebSocket connection, Exception error) {}
}
