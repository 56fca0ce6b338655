package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeoutException;
import org.java_websocket.WebSocket;
import org.junit.jupiter.api.Test;

/** A server that loses frames: the client asks again, and gives up on what never comes whole. */
class HoleTest {
  private static final int FRAMES = 60;
  private static final Duration SILENCE = Duration.ofSeconds(20);

  /** Leaves out a frame on the first greeting only, and breaks another one every time. */
  private static final class Careless extends LoopbackFeed {
    private final int lost;
    private final int broken;
    private int greetings;

    Careless(int lost, int broken) {
      super(FRAMES);
      this.lost = lost;
      this.broken = broken;
    }

    @Override
    void send(WebSocket connection, int from) {
      greetings++;
      for (int seq = from; seq <= FRAMES; seq++) {
        if (seq == broken) {
          connection.send("{\"seq\":" + seq + ",\"e\":[[\"t\",");
        } else if (seq != lost || greetings > 1) {
          connection.send("{\"seq\":" + seq + ",\"e\":[[\"b\",1],[\"b\",2]]}");
        }
      }
    }
  }

  @Test
  void aLostFrameIsAskedForOnceAndNothingIsDoneTwice()
      throws ExecutionException, InterruptedException, TimeoutException {
    Careless server = new Careless(7, -1);
    HeardFrames heard = server.follow(SILENCE);

    assertThat(heard.done).hasSize(FRAMES).isSorted().doesNotHaveDuplicates();
    assertThat(heard.faults).isEmpty();
    assertThat(server.greetings).isEqualTo(2);
  }

  @Test
  void aFrameThatIsBrokenEveryTimeIsGivenUpWithAWord()
      throws ExecutionException, InterruptedException, TimeoutException {
    HeardFrames heard = new Careless(-1, 9).follow(SILENCE);

    assertThat(heard.done).hasSize(FRAMES - 1).isSorted().doesNotContain(9L);
    assertThat(heard.faults)
        .anySatisfy(f -> assertThat(f).contains("frames 9 to 9 were asked for"));
  }
}
