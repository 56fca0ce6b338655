package kelvo.sim;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.ByteBuffer;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BiConsumer;
import org.java_websocket.WebSocket;
import org.java_websocket.enums.Opcode;
import org.java_websocket.framing.BinaryFrame;
import org.java_websocket.framing.DataFrame;
import org.junit.jupiter.api.Test;

/** A server that sends what no feed should: each is told, and the frames around it are taken. */
class HostileFeedTest {
  private static final int FRAMES = 40;
  private static final int ODD = 17;
  private static final Duration SILENCE = Duration.ofSeconds(5);

  /** Sends all frames in order, with something odd before one of them. */
  private static final class Odd extends LoopbackFeed {
    private final BiConsumer<WebSocket, Integer> before;
    private final List<Integer> order;

    Odd(BiConsumer<WebSocket, Integer> before) {
      this(before, numbers());
    }

    Odd(BiConsumer<WebSocket, Integer> before, List<Integer> order) {
      super(FRAMES);
      this.before = before;
      this.order = order;
    }

    private static List<Integer> numbers() {
      List<Integer> numbers = new ArrayList<>();
      for (int seq = 1; seq <= FRAMES; seq++) {
        numbers.add(seq);
      }
      return numbers;
    }

    @Override
    void send(WebSocket connection, int from) {
      for (int seq : order) {
        if (seq == ODD && from <= ODD) {
          before.accept(connection, seq);
        }
        if (seq >= from && connection.isOpen()) {
          connection.send("{\"seq\":" + seq + ",\"e\":[[\"b\",1],[\"b\",2]]}");
        }
      }
    }
  }

  private static HeardFrames follow(Odd server)
      throws ExecutionException, InterruptedException, TimeoutException {
    HeardFrames heard = server.follow(SILENCE);
    assertThat(heard.done).doesNotHaveDuplicates().isSorted();
    return heard;
  }

  @Test
  void aFrameOfFiftyMegabytesIsToldAndNotKept()
      throws ExecutionException, InterruptedException, TimeoutException {
    String huge = "{\"seq\":5,\"e\":[\"" + "x".repeat(50_000_000) + "\"]}";
    HeardFrames heard = follow(new Odd((connection, seq) -> connection.send(huge)));

    assertThat(heard.done).hasSize(FRAMES);
    assertThat(heard.faults)
        .containsExactly(
            "expected a frame in JSON, found a frame of more than 16000000 characters");
  }

  /** On a slow line, in pieces that come one after the other. */
  @Test
  void aFrameThatTakesLongerToComeThanSilenceMayLastIsReceived()
      throws ExecutionException, InterruptedException, TimeoutException {
    int pieces = 30;
    Odd server =
        new Odd(
            (connection, seq) -> {
              String padding = " ".repeat(100_000);
              for (int piece = 0; piece < pieces; piece++) {
                String text = piece == 0 ? "{\"seq\":" + seq + "," : padding;
                boolean last = piece == pieces - 1;
                connection.sendFragmentedFrame(
                    Opcode.TEXT,
                    ByteBuffer.wrap((last ? "\"e\":[[\"b\",1],[\"b\",2]]}" : text).getBytes(UTF_8)),
                    last);
                LockSupport.parkNanos(50_000_000);
              }
            });

    HeardFrames heard = server.follow(Duration.ofMillis(600));

    assertThat(heard.done).hasSize(FRAMES);
    assertThat(heard.faults).isEmpty();
    assertThat(server.greetings()).as("never connected again").isEqualTo(1);
  }

  @Test
  void bytesAreNoFrame() throws ExecutionException, InterruptedException, TimeoutException {
    HeardFrames heard = follow(new Odd((connection, seq) -> connection.send(new byte[] {1, 2, 3})));

    assertThat(heard.done).hasSize(FRAMES);
    assertThat(heard.faults)
        .containsExactly("expected a frame in JSON, found bytes that are no text");
  }

  @Test
  void textThatIsNoUnicodeBreaksTheConnectionAndIsGivenUpAfterThreeTimes()
      throws ExecutionException, InterruptedException, TimeoutException {
    HeardFrames heard =
        follow(
            new Odd(
                (connection, seq) -> {
                  DataFrame wrong = new BinaryFrame();
                  wrong.setPayload(
                      ByteBuffer.wrap(new byte[] {'{', (byte) 0xff, (byte) 0xc0, '}'}));
                  connection.sendFrame(new AsText(wrong));
                }));

    assertThat(heard.done).hasSizeGreaterThanOrEqualTo(FRAMES - 1);
    assertThat(heard.faults)
        .containsExactly("frame " + ODD + " broke the connection each time and is left out");
  }

  /** The bytes of a frame that says it is text; the library would refuse to send them as such. */
  private static final class AsText extends DataFrame {
    AsText(DataFrame bytes) {
      super(Opcode.TEXT);
      setPayload(bytes.getPayloadData());
    }

    @Override
    public void isValid() {}
  }

  @Test
  void framesThatComeTwiceOrOutOfOrderAreTakenOnceAndInOrder()
      throws ExecutionException, InterruptedException, TimeoutException {
    List<Integer> order = Odd.numbers();
    Collections.swap(order, 9, 11);
    order.addAll(20, order.subList(3, 15));
    HeardFrames heard = follow(new Odd((connection, seq) -> {}, order));

    assertThat(heard.done).hasSize(FRAMES);
    assertThat(heard.faults).isEmpty();
  }

  @Test
  void anotherSessionIsRefusedInsteadOfBeingMixedIn()
      throws ExecutionException, InterruptedException, TimeoutException {
    HeardFrames heard =
        new Odd(
                (connection, seq) ->
                    connection.send("{\"welcome\":1,\"session\":\"2031-03-13\",\"seq\":40}"))
            .followUntilRefused(SILENCE);

    assertThat(heard.done).hasSize(ODD - 1);
    assertThat(heard.refused.get())
        .isEqualTo(
            "the feed serves 2031-03-13 now, not 2031-03-12; close this day and begin again");
  }
}
