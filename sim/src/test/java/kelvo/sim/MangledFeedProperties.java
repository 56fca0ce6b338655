package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kelvo.data.feed.FeedAddress;
import kelvo.data.feed.FeedClient;
import kelvo.data.feed.FeedReader;
import kelvo.data.feed.TapeSink;
import kelvo.market.DailyHistory;
import kelvo.market.EventTape;
import kelvo.market.Security;
import kelvo.market.SecurityFacts;
import kelvo.market.SecurityKind;
import kelvo.market.Session;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.time.SessionHours;
import net.jqwik.api.EdgeCasesMode;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.java_websocket.WebSocket;
import org.java_websocket.handshake.ClientHandshake;
import org.java_websocket.server.WebSocketServer;

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
  private static final FeedClient.Patience QUICK =
      new FeedClient.Patience(Duration.ofMillis(1), Duration.ofMillis(5), Duration.ofSeconds(1));

  /** Each frame tells of as many mentions as its number. */
  private static String frame(long seq) {
    long at = DATE.atTime(10, 0).atZone(DayTime.NEW_YORK).toInstant().toEpochMilli() + seq;
    return "{\"seq\":%d,\"e\":[[\"m\",%d,\"TIDARC\",%d]]}".formatted(seq, at, seq);
  }

  /** Sends all frames from the one that is asked for, some of them spoilt. */
  private static final class Spoiling extends WebSocketServer {
    private final SplittableRandom random;
    private final CompletableFuture<Integer> listening = new CompletableFuture<>();
    private int spoilt;

    Spoiling(long seed) {
      super(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0));
      random = new SplittableRandom(seed);
      setReuseAddr(true);
      setTcpNoDelay(true);
    }

    @Override
    public void onStart() {
      listening.complete(getPort());
    }

    @Override
    public void onMessage(WebSocket connection, String hello) {
      connection.send("{\"welcome\":1,\"session\":\"" + DATE + "\",\"seq\":" + FRAMES + "}");
      for (long seq = from(hello); seq <= FRAMES; seq++) {
        connection.send(random.nextInt(ONE_IN) == 0 ? spoil(frame(seq)) : frame(seq));
      }
    }

    private static long from(String hello) {
      try {
        return 1 + new ObjectMapper().readTree(hello).path("from").asLong();
      } catch (IOException e) {
        throw new IllegalStateException(e);
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

    @Override
    public void onOpen(WebSocket connection, ClientHandshake handshake) {}

    @Override
    public void onClose(WebSocket connection, int code, String reason, boolean remote) {}

    @Override
    public void onError(WebSocket connection, Exception e) {
      listening.completeExceptionally(e);
    }
  }

  /** What the client brings, and what it reports. */
  private static final class Heard implements FeedClient.Listener {
    private final List<String> faults = new ArrayList<>();
    private final List<Long> frames = new ArrayList<>();
    private final CompletableFuture<Long> end = new CompletableFuture<>();
    private final Session session =
        new Session(
            SessionHours.full(DATE),
            Phases.USUAL,
            List.of(
                new SecurityFacts(
                    new Security(
                        "TIDARC",
                        "Tidal Arc",
                        "XNAS",
                        SecurityKind.COMMON_STOCK,
                        "",
                        "",
                        "",
                        1,
                        1,
                        null,
                        null,
                        false),
                    DailyHistory.NONE,
                    null,
                    1,
                    1)),
            List.of(),
            List.of(),
            new EventTape(1));

    @Override
    public FeedReader session(LocalDate date) {
      return new FeedReader(date, new TapeSink(session, this::frame), faults::add);
    }

    private void frame(long seq) {
      frames.add(seq);
      if (seq >= FRAMES) {
        end.complete(seq);
      }
    }

    @Override
    public void standing(FeedClient.Standing standing, String why) {}

    @Override
    public void fault(String sentence) {
      faults.add(sentence);
    }
  }

  @Property(tries = 5, edgeCases = EdgeCasesMode.NONE, seed = "20310312")
  void everyFrameComesOrIsReportedAndTheEndIsReached(@ForAll long seed) throws Exception {
    Spoiling server = new Spoiling(seed);
    server.start();
    Heard heard = new Heard();
    int port = server.listening.get(20, TimeUnit.SECONDS);
    try (FeedClient client =
        new FeedClient(
            new FeedAddress(URI.create("ws://localhost:" + port), ""),
            0,
            QUICK,
            heard,
            System::nanoTime)) {
      client.start();
      heard.end.get(60, TimeUnit.SECONDS);
    } finally {
      server.stop();
    }

    assertThat(server.spoilt).isGreaterThan(FRAMES / ONE_IN / 2);
    assertThat(heard.frames).doesNotHaveDuplicates().isSorted();
    BitSet known = new BitSet();
    heard.frames.forEach(seq -> known.set((int) Math.min(seq, FRAMES + 1L)));
    for (String fault : heard.faults) {
      Matcher lost = LOST.matcher(fault);
      if (lost.matches()) {
        known.set(Integer.parseInt(lost.group(1)), Integer.parseInt(lost.group(2)) + 1);
      }
    }
    assertThat(known.nextClearBit(1))
        .as("the first frame that nobody knows of")
        .isGreaterThan(FRAMES);
    assertThat(heard.faults).isNotEmpty();
    assertThat(heard.session.tape().size() + heard.faults.size())
        .isGreaterThanOrEqualTo(heard.frames.size());
  }
}
