package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.SplittableRandom;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeoutException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kelvo.time.DayTime;
import net.jqwik.api.EdgeCasesMode;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;
import org.java_websocket.WebSocket;

/**
 * A server that spoils one frame in twelve, over a real connection: the client asks for what is
 * missing, reports what never comes whole, and reaches the end.
 */
class MangledFeedProperties {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);
  private static final int FRAMES = 1_500;
  private static final int ONE_IN = 12;
  private static final String NOISE = "0123456789.,:-+eE{}[]\"tqsximnb \u00e9";
  private static final Pattern LOST = Pattern.compile("frames (\\d+) to (\\d+) were asked for.*");

  /** Sends each frame whole or spoilt; a frame tells of as many mentions as its number. */
  private static final class Spoiling extends LoopbackFeed {
    private final SplittableRandom random;
    private final long ten = DATE.atTime(10, 0).atZone(DayTime.NEW_YORK).toEpochSecond() * 1_000;
    private int spoilt;

    Spoiling(long seed) {
      super(FRAMES);
      random = new SplittableRandom(seed);
    }

    @Override
    void send(WebSocket connection, int from) {
      for (int seq = from; seq <= FRAMES; seq++) {
        String frame =
            "{\"seq\":%d,\"e\":[[\"m\",%d,\"TIDARC\",%d]]}".formatted(seq, ten + seq, seq);
        connection.send(random.nextInt(ONE_IN) == 0 ? spoil(frame) : frame);
      }
    }

    private String spoil(String frame) {
      spoilt++;
      StringBuilder text = new StringBuilder(frame);
      for (int n = 1 + random.nextInt(3); n > 0; n--) {
        text.setCharAt(random.nextInt(text.length()), NOISE.charAt(random.nextInt(NOISE.length())));
      }
      return text.toString();
    }
  }

  @Tag("proof")
  @Property(tries = 5, edgeCases = EdgeCasesMode.NONE, seed = "20310312")
  void everyFrameComesOrIsReportedAndTheEndIsReachedAtLength(@ForAll long seed)
      throws ExecutionException, InterruptedException, TimeoutException {
    everyFrameComesOrIsReportedAndTheEndIsReached(seed);
  }

  @Property(tries = 1, edgeCases = EdgeCasesMode.NONE, seed = "20310312")
  void everyFrameComesOrIsReportedAndTheEndIsReached(@ForAll long seed)
      throws ExecutionException, InterruptedException, TimeoutException {
    Spoiling server = new Spoiling(seed);
    HeardFrames heard = server.follow(Duration.ofSeconds(1));

    assertThat(server.spoilt).isGreaterThan(FRAMES / ONE_IN / 2);
    assertThat(heard.done).doesNotHaveDuplicates().isSorted();
    assertThat(heard.faults).isNotEmpty();
    BitSet known = new BitSet();
    heard.done.forEach(seq -> known.set((int) Math.min(seq, FRAMES + 1L)));
    for (String fault : heard.faults) {
      Matcher lost = LOST.matcher(fault);
      if (lost.matches()) {
        known.set(Integer.parseInt(lost.group(1)), Integer.parseInt(lost.group(2)) + 1);
      }
    }
    assertThat(known.nextClearBit(1)).as("the first frame nobody knows of").isGreaterThan(FRAMES);
    assertThat(heard.mentions.size() + heard.faults.size())
        .as("what came in the frames that were done, or was reported")
        .isGreaterThanOrEqualTo(heard.done.size());
  }
}
