package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.Stream;
import kelvo.data.feed.FeedAddress;
import kelvo.data.feed.FeedClient;
import kelvo.data.feed.FeedReader;
import kelvo.data.feed.SessionRecorder;
import kelvo.job.Progress;
import kelvo.session.Session;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/**
 * A session that comes over a line that is cut and goes dead is recorded to the byte all the same.
 */
class FaultyLineTest {
  private static final int CUTS =
      Integer.getInteger("kelvo.cuts", Boolean.getBoolean("kelvo.proofs") ? 50 : 8);
  private static final int EVENTS = CUTS * 800;
  private static final FeedClient.Timeouts QUICK =
      new FeedClient.Timeouts(Duration.ofMillis(1), Duration.ofMillis(5), Duration.ofMillis(1_500));

  @TempDir Path original;
  @TempDir Path undisturbed;
  @TempDir Path disturbed;

  /** Records a session until its last frame. */
  private static final class Recording implements FeedClient.Listener {
    private final SessionRecorder recorder;
    private final long last;
    private final CompletableFuture<Boolean> done = new CompletableFuture<>();
    private final List<String> faults = new ArrayList<>();

    Recording(SessionRecorder recorder, long last) {
      this.recorder = recorder;
      this.last = last;
    }

    @Override
    public FeedReader session(LocalDate date) {
      return new FeedReader(date, recorder, faults::add);
    }

    @Override
    public void inStep() {
      if (recorder.lastFrame() >= last) {
        done.complete(true);
      }
    }

    @Override
    public void status(FeedClient.Status status, String why) {}

    @Override
    public void fault(String sentence) {
      faults.add(sentence);
    }

    @Override
    public void trouble(String what, Throwable cause) {
      faults.add(what + ": " + cause);
    }
  }

  private static void record(int port, Path folder, long last)
      throws ExecutionException, InterruptedException, TimeoutException {
    try (SessionRecorder recorder = new SessionRecorder(folder, DemoSize.SESSION)) {
      Recording recording = new Recording(recorder, last);
      try (FeedClient client =
          new FeedClient(
              new FeedAddress(URI.create("ws://localhost:" + port), ""),
              0,
              QUICK,
              recording,
              System::nanoTime)) {
        client.start();
        recording.done.get(60 + CUTS, TimeUnit.SECONDS);
      }
      assertThat(recording.faults).isEmpty();
    }
  }

  private static Map<String, byte[]> files(Path folder) throws IOException {
    Map<String, byte[]> files = new TreeMap<>();
    try (Stream<Path> all = Files.walk(folder)) {
      all.filter(Files::isRegularFile)
          .forEach(
              file -> {
                try {
                  files.put(folder.relativize(file).toString(), Files.readAllBytes(file));
                } catch (IOException e) {
                  throw new UncheckedIOException(e);
                }
              });
    }
    return files;
  }

  private FeedServer server(int events) throws IOException, InterruptedException {
    DemoFolder.write(
        original, new DemoSize(120, 60, 12_000, DemoSize.SESSION), DemoFolder.SEED, Progress.NONE);
    Session session = ShortSession.of(original, events);
    FeedServer server =
        new FeedServer(
            session,
            List.of(),
            new InetSocketAddress(InetAddress.getLoopbackAddress(), 0),
            "",
            null,
            DayTime.FIRST,
            FeedServer.AT_ONCE,
            System::nanoTime);
    server.start();
    return server;
  }

  @Tag("sampled")
  @Test
  @Timeout(value = 1, unit = TimeUnit.HOURS)
  void whatIsRecordedIsTheSameToTheByte()
      throws ExecutionException, IOException, InterruptedException, TimeoutException {
    try (FeedServer server = server(EVENTS);
        FaultyLine line = new FaultyLine(server.port(), 20_310_312, CUTS, 40)) {
      record(server.port(), undisturbed, server.frames());
      record(line.port(), disturbed, server.frames());

      assertThat(line.cuts()).isGreaterThanOrEqualTo(CUTS);
    }
    assertSameFiles();
  }

  /** It is behind all the time, and never silent for so long that it would be given up. */
  @Tag("proof")
  @Test
  void aLineOfFiftyKilobytesASecondIsSlowAndNotDead()
      throws ExecutionException, IOException, InterruptedException, TimeoutException {
    try (FeedServer server = server(8_000);
        FaultyLine line = FaultyLine.slow(server.port(), 50_000)) {
      record(server.port(), undisturbed, server.frames());
      record(line.port(), disturbed, server.frames());

      assertThat(line.connections()).isEqualTo(1);
    }
    assertSameFiles();
  }

  private void assertSameFiles() throws IOException {
    Map<String, byte[]> expected = files(undisturbed);
    Map<String, byte[]> found = files(disturbed);
    assertThat(found.keySet()).isEqualTo(expected.keySet()).hasSizeGreaterThan(4);
    expected.forEach((name, bytes) -> assertThat(found.get(name)).as(name).isEqualTo(bytes));
  }
}
