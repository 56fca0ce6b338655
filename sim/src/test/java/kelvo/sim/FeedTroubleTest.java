package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.time.Duration;
import java.time.LocalDate;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import kelvo.data.feed.FeedAddress;
import kelvo.data.feed.FeedClient;
import kelvo.data.feed.FeedReader;
import org.java_websocket.WebSocket;
import org.junit.jupiter.api.Test;

/** What throws on the feed's thread is told, and the feed goes on. */
class FeedTroubleTest {
  private static final int FRAMES = 400;
  private static final Duration SILENCE = Duration.ofSeconds(3);

  private static final class Plain extends LoopbackFeed {
    Plain() {
      super(FRAMES);
    }

    @Override
    void send(WebSocket connection, int from) {
      for (int seq = from; seq <= FRAMES; seq++) {
        connection.send("{\"seq\":" + seq + ",\"e\":[[\"b\",1],[\"b\",2]]}");
      }
    }
  }

  /** Every frame throws: with more of them than may wait at once, none may be forgotten. */
  @Test
  void framesThatCannotBeTakenAreToldAndTheNextOnesAreAskedFor()
      throws ExecutionException, InterruptedException, TimeoutException {
    HeardFrames heard = new Plain().follow(SILENCE, seq -> throwing("the disk is full"));

    assertThat(heard.done).hasSize(FRAMES).isSorted();
    assertThat(heard.faults).hasSize(FRAMES).allMatch(f -> f.contains("the disk is full"));
  }

  private static void throwing(String why) {
    throw new IllegalStateException(why);
  }

  @Test
  void whatIsDoneEverySecondIsDoneAgainThoughItThrew()
      throws ExecutionException, InterruptedException, TimeoutException {
    CountDownLatch twice = new CountDownLatch(2);
    CompletableFuture<String> told = new CompletableFuture<>();
    FeedClient.Listener listener =
        new FeedClient.Listener() {
          @Override
          public FeedReader session(LocalDate date) {
            throw new IllegalStateException("nobody connects");
          }

          @Override
          public void status(FeedClient.Status status, String why) {}

          @Override
          public void fault(String sentence) {}

          @Override
          public void trouble(String what, Throwable cause) {
            told.complete(what + ": " + cause.getMessage());
          }
        };
    try (FeedClient client =
        new FeedClient(
            new FeedAddress(URI.create("ws://localhost:1"), ""),
            0,
            FeedClient.Timeouts.DEFAULT,
            listener,
            System::nanoTime)) {
      client.everySecond(
          "saving the record",
          () -> {
            twice.countDown();
            throw new IllegalStateException("the disk is full");
          });

      assertThat(twice.await(60, TimeUnit.SECONDS)).isTrue();
      assertThat(told.get(60, TimeUnit.SECONDS)).isEqualTo("saving the record: the disk is full");
    }
  }
}
