package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.LongStream;
import kelvo.data.feed.FeedAddress;
import kelvo.data.feed.FeedClient;
import kelvo.data.feed.FeedReader;
import kelvo.data.feed.TapeSink;
import kelvo.data.scanfile.ScanFile;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.rule.Vocabulary;
import kelvo.session.Session;
import kelvo.time.DayTime;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The simulated feed and the client, over a real connection on loopback. */
class FeedTest {
  private static final FeedClient.Timeouts QUICK =
      new FeedClient.Timeouts(Duration.ofMillis(1), Duration.ofMillis(5), Duration.ofSeconds(3));
  private static final int CUTS = Boolean.getBoolean("kelvo.proofs") ? 200 : 10;
  private static final int EVENTS = 60_000;

  @TempDir static Path folder;
  private static Session session;

  @BeforeAll
  static void write() throws IOException {
    SmallDemo.copyTo(folder);
    session = ShortSession.of(folder, EVENTS);
  }

  private static FeedServer server(String token, double speed) throws InterruptedException {
    FeedServer server =
        new FeedServer(
            session,
            List.of(),
            new InetSocketAddress(InetAddress.getLoopbackAddress(), 0),
            token,
            null,
            DayTime.FIRST,
            speed,
            System::nanoTime);
    server.start();
    return server;
  }

  /** What a client hears. */
  private static final class Heard implements FeedClient.Listener {
    final Session received = ShortSession.unplayed(session);
    final List<String> faults = new ArrayList<>();
    final List<FeedClient.Status> statuses = new ArrayList<>();
    final CompletableFuture<Long> done = new CompletableFuture<>();
    final CompletableFuture<String> refused = new CompletableFuture<>();
    final List<Long> frames = new ArrayList<>();
    Runnable afterFrame = () -> {};
    Runnable onLive = () -> {};
    long lastFrame;

    @Override
    public FeedReader session(LocalDate date) {
      return new FeedReader(date, new TapeSink(received, this::frame), faults::add);
    }

    private void frame(long seq) {
      frames.add(seq);
      afterFrame.run();
      if (seq == lastFrame) {
        done.complete(seq);
      }
    }

    @Override
    public void status(FeedClient.Status status, String why) {
      statuses.add(status);
      if (status == FeedClient.Status.LIVE) {
        onLive.run();
      }
      if (status == FeedClient.Status.REFUSED) {
        refused.complete(why);
      }
    }

    @Override
    public void fault(String sentence) {
      faults.add(sentence);
    }

    @Override
    public void trouble(String what, Throwable cause) {
      faults.add(what + ": " + cause);
    }
  }

  private static FeedClient client(FeedServer server, String token, Heard heard) {
    return new FeedClient(
        new FeedAddress(URI.create("ws://localhost:" + server.port()), token),
        0,
        QUICK,
        heard,
        System::nanoTime);
  }

  private static List<Hit> hits(Session of) {
    List<Hit> hits = new ArrayList<>();
    ScanEngine.replay(of, new Program(ScanFile.shipped(Vocabulary.DEFAULT), List.of()), hits::add)
        .runTo(DayTime.LAST);
    return hits;
  }

  @Tag("sampled")
  @Test
  void cutsLoseNothing() throws ExecutionException, InterruptedException, TimeoutException {
    try (FeedServer server = server("secret", FeedServer.AT_ONCE)) {
      Heard heard = new Heard();
      heard.lastFrame = server.frames();
      Cuts cuts = new Cuts(server);
      heard.afterFrame = cuts::frame;
      heard.onLive = cuts::live;
      try (FeedClient client = client(server, "secret", heard)) {
        client.start();
        heard.done.get(120, TimeUnit.SECONDS);
      }

      assertThat(cuts.made).isEqualTo(CUTS);
      assertThat(heard.statuses).filteredOn(FeedClient.Status.LIVE::equals).hasSize(CUTS + 1);
      assertThat(heard.faults).isEmpty();
      assertThat(heard.frames)
          .isEqualTo(LongStream.rangeClosed(1, server.frames()).boxed().toList());
      assertThat(heard.received.tape().size()).isEqualTo(session.tape().size());
      assertThat(hits(heard.received)).isEqualTo(hits(session)).hasSizeGreaterThan(20);
    }
  }

  /** Cuts a connection that stands a few frames after it has come back, until there were enough. */
  private static final class Cuts {
    private final FeedServer server;
    private final SplittableRandom random = new SplittableRandom(7);
    private int framesLeft = -1;
    private int made;

    Cuts(FeedServer server) {
      this.server = server;
    }

    void live() {
      framesLeft = 1 + random.nextInt(20);
    }

    void frame() {
      if (made < CUTS && framesLeft > 0 && --framesLeft == 0) {
        made++;
        server.cut();
      }
    }
  }

  @Test
  void aWrongTokenIsRefusedWithAWord()
      throws ExecutionException, InterruptedException, TimeoutException {
    try (FeedServer server = server("secret", FeedServer.AT_ONCE)) {
      Heard heard = new Heard();
      try (FeedClient client = client(server, "guess", heard)) {
        client.start();

        assertThat(heard.refused.get(20, TimeUnit.SECONDS)).contains("token is wrong");
      }
    }
  }

  @Test
  void aServerThatCanBeReachedFromOutsideNeedsATokenAndACertificate() {
    assertThatThrownBy(
            () ->
                new FeedServer(
                    session,
                    List.of(),
                    new InetSocketAddress("0.0.0.0", 0),
                    "secret",
                    null,
                    DayTime.FIRST,
                    1,
                    System::nanoTime))
        .hasMessageContaining("give it a token and a certificate");
  }

  @Test
  void aServerThatIsNotThereYetIsTriedAgain()
      throws ExecutionException, InterruptedException, TimeoutException {
    Heard heard = new Heard();
    FeedServer first = server("", FeedServer.AT_ONCE);
    int port = first.port();
    first.close();
    try (FeedClient client =
        new FeedClient(
            new FeedAddress(URI.create("ws://localhost:" + port), ""),
            0,
            QUICK,
            heard,
            System::nanoTime)) {
      client.start();
      try (FeedServer later =
          new FeedServer(
              session,
              List.of(),
              new InetSocketAddress(InetAddress.getLoopbackAddress(), port),
              "",
              null,
              DayTime.FIRST,
              FeedServer.AT_ONCE,
              System::nanoTime)) {
        heard.lastFrame = later.frames();
        later.start();
        heard.done.get(60, TimeUnit.SECONDS);
      }
    }

    assertThat(heard.statuses).contains(FeedClient.Status.CONNECTING, FeedClient.Status.LIVE);
  }
}
