package kelvo.data.feed;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.Writer;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.job.Progress;
import kelvo.session.Session;
import kelvo.sim.DemoSize;
import kelvo.sim.FeedServer;
import kelvo.tape.EventKind;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A disk that is full for a while during a live session: the session goes on on screen, it is said
 * what is full, and afterwards the record is whole.
 */
class FullDiskTest {
  private static final int SECONDS = 8_000;

  @TempDir Path original;
  @TempDir Path folder;

  /** The disk, which takes nothing while it is full. */
  private static final class SwitchedDisk implements RecordingStore {
    final AtomicBoolean full = new AtomicBoolean();

    private void take() throws IOException {
      if (full.get()) {
        throw new IOException("No space left on device");
      }
    }

    @Override
    public Writer append(Path file) throws IOException {
      Writer to = DISK.append(file);
      return new Writer() {
        @Override
        public void write(char[] characters, int from, int length) throws IOException {
          take();
          to.write(characters, from, length);
        }

        @Override
        public void flush() throws IOException {
          take();
          to.flush();
        }

        @Override
        public void close() throws IOException {
          to.close();
        }
      };
    }

    @Override
    public void replace(Path file, String text) throws IOException {
      take();
      DISK.replace(file, text);
    }

    @Override
    public void truncate(Path file, long bytes) throws IOException {
      DISK.truncate(file, bytes);
    }

    @Override
    public long room(Path file) throws IOException {
      return full.get() ? 0 : DISK.room(file);
    }
  }

  private static void until(BooleanSupplier so) {
    while (!so.getAsBoolean()) {
      LockSupport.parkNanos(20_000_000);
      assertThat(Thread.interrupted()).as("waited too long").isFalse();
    }
  }

  /** A session of one trade and one quote a second. */
  private void invent() throws IOException {
    Path day = Files.createDirectories(original.resolve("sessions/" + DemoSize.SESSION));
    Files.writeString(
        original.resolve("securities.csv"),
        "symbol,name,mic,cfi\nTIDARC,A,XNAS,ESVUFR\nGLASBX,B,XNAS,ESVUFR\n");
    StringBuilder trades = new StringBuilder("time,symbol,price,size,conditions,id\n");
    StringBuilder quotes = new StringBuilder("time,symbol,bid,bid_size,ask,ask_size\n");
    for (int i = 0; i < SECONDS; i++) {
      String at = DayTime.millis(DayTime.of(9, 30) + i * DayTime.SECOND);
      String symbol = i % 3 == 0 ? "TIDARC" : "GLASBX";
      trades.append(at + "," + symbol + ",8.2" + i % 10 + ",100,," + (i + 1) + "\n");
      quotes.append(at + "," + symbol + ",8.1" + i % 10 + ",300,8.30,400\n");
    }
    Files.writeString(day.resolve("trades.csv"), trades);
    Files.writeString(day.resolve("quotes.csv"), quotes);
  }

  private static Session read(Path from) {
    DataFolder data = new DataFolder(from, new ExchangeCalendar()).searching();
    Session session = data.session(DemoSize.SESSION, Progress.NONE);
    assertThat(data.faultSentences()).isEmpty();
    return session;
  }

  @Test
  void theSessionGoesOnAndTheRecordIsWholeAfterwards() throws IOException, InterruptedException {
    invent();
    Session served = read(original);
    Files.copy(original.resolve("securities.csv"), folder.resolve("securities.csv"));
    SwitchedDisk disk = new SwitchedDisk();
    SessionRecorder recorder = new SessionRecorder(folder, DemoSize.SESSION, disk);
    Session live = read(folder);
    FeedServer server =
        new FeedServer(
            served,
            List.of(),
            new InetSocketAddress(InetAddress.getLoopbackAddress(), 0),
            "",
            null,
            DayTime.FIRST,
            FeedServer.AT_ONCE,
            System::nanoTime);
    server.start();
    FeedAddress address = new FeedAddress(URI.create("ws://localhost:" + server.port()), "");
    try (server;
        LiveFeed feed = new LiveFeed(address, live, recorder, List.of(), List.of())) {
      disk.full.set(true);
      feed.start(fills -> {}, (what, cause) -> {});
      EventTape shown = live.tape();
      until(
          () -> {
            feed.drain();
            return shown.size() == served.tape().size();
          });
      assertThat(feed.status().connection()).isEqualTo(FeedClient.Status.LIVE);
      until(() -> !feed.status().notRecorded().isEmpty());
      assertThat(feed.status().notRecorded())
          .contains("the disk is full")
          .contains("free some disk");

      disk.full.set(false);
      long rows = rows(served.tape());
      until(() -> feed.status().notRecorded().isEmpty() && recordedRows() == rows);
      assertThat(shown.size()).as("nothing is played twice").isEqualTo(served.tape().size());
      assertThat(feed.status().leftOut()).isZero();
    }

    assertThat(read(folder).tape().size()).isEqualTo(served.tape().size());
  }

  /** How many events are rows of tables; news is kept in a file of its own. */
  private static long rows(EventTape tape) {
    return IntStream.range(0, tape.size()).filter(i -> tape.kind(i) != EventKind.NEWS).count();
  }

  private long recordedRows() {
    long rows = 0;
    for (RecordedTable.Kind kind : RecordedTable.Kind.values()) {
      try (Stream<String> lines =
          Files.lines(kind.in(folder.resolve("sessions/" + DemoSize.SESSION)))) {
        rows += lines.count() - 1;
      } catch (IOException e) {
        return -1;
      }
    }
    return rows;
  }
}
