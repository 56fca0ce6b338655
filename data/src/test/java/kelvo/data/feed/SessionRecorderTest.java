package kelvo.data.feed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.job.Progress;
import kelvo.session.Session;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SessionRecorderTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);
  private static final int REGULAR = SaleCondition.REGULAR.bit();

  @TempDir Path folder;

  private Path table(String name) {
    return folder.resolve("sessions").resolve(DATE.toString()).resolve(name + ".csv");
  }

  private static void frame(FeedSink to, long seq) {
    to.frameBegins(seq);
    long at = DayTime.of(9, 30) + seq * DayTime.SECOND;
    to.trade(at, "TIDARC", 82_000 + seq, 100, REGULAR, seq);
    to.frameDone(seq);
  }

  private Session read() throws IOException {
    Files.writeString(
        folder.resolve("securities.csv"), "symbol,name,mic,cfi\nTIDARC,Tidal Arc,XNAS,ESVUFR\n");
    DataFolder data = new DataFolder(folder, new ExchangeCalendar()).searching();
    Session session = data.session(DATE, Progress.NONE);
    assertThat(data.faultSentences()).isEmpty();
    return session;
  }

  /** Another process is killed after it has begun to record and before anything was saved. */
  @Test
  void aRecorderKilledBeforeItsFirstSaveLeavesTablesThatCanBeGoneOnWith()
      throws IOException, InterruptedException {
    int code =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                Killed.class.getName(),
                folder.toString())
            .inheritIO()
            .start()
            .waitFor();
    assertThat(code).isEqualTo(Killed.CODE);

    try (SessionRecorder again = new SessionRecorder(folder, DATE)) {
      assertThat(again.lastFrame()).isZero();
      frame(again, 1);
      frame(again, 2);
    }

    assertThat(table("trades")).content().startsWith("time,symbol,price,size,conditions,id,seq");
    assertThat(read().tape().size()).isEqualTo(2);
  }

  /** Begins to record and is killed at once. */
  static final class Killed {
    static final int CODE = 9;

    private Killed() {}

    public static void main(String[] args) {
      SessionRecorder recorder = new SessionRecorder(Path.of(args[0]), DATE);
      frame(recorder, 1);
      Runtime.getRuntime().halt(CODE);
    }
  }

  @Test
  void tablesOfNoBytesGetTheirHeader() throws IOException {
    try (SessionRecorder begun = new SessionRecorder(folder, DATE)) {
      frame(begun, 1);
    }
    Files.writeString(table("quotes"), "");
    Files.writeString(table("status"), "time,symb");

    new SessionRecorder(folder, DATE).close();

    assertThat(table("quotes")).content().startsWith("time,symbol,bid,");
    assertThat(table("status")).content().startsWith("time,symbol,state,reason,seq");
  }

  /** What is left of 2000001 reads as a number of an earlier frame. */
  @Test
  void aRowTornWithinItsLastColumnIsCutOffAndComesAgain() throws IOException {
    try (SessionRecorder first = new SessionRecorder(folder, DATE)) {
      for (long seq = 1; seq <= 12; seq++) {
        frame(first, seq);
      }
    }
    String whole = Files.readString(table("trades"));
    Files.writeString(table("trades"), whole.substring(0, whole.length() - 3));
    Files.writeString(table("trades").resolveSibling("recorded.txt"), "11");

    try (SessionRecorder again = new SessionRecorder(folder, DATE)) {
      assertThat(again.lastFrame()).isEqualTo(11);
      frame(again, 12);
    }

    assertThat(table("trades")).hasContent(whole.strip());
    assertThat(read().tape().size()).isEqualTo(12);
  }

  /** A disk with room for so many characters. */
  private static final class FullDisk implements RecordingStore {
    private final RecordingStore disk = RecordingStore.DISK;
    private long room;

    FullDisk(long room) {
      this.room = room;
    }

    private void take(long characters) throws IOException {
      if (room < characters) {
        throw new IOException("No space left on device");
      }
      room -= characters;
    }

    @Override
    public Writer append(Path file) throws IOException {
      Writer to = disk.append(file);
      return new Writer() {
        @Override
        public void write(char[] characters, int from, int length) throws IOException {
          take(length);
          to.write(characters, from, length);
        }

        @Override
        public void flush() throws IOException {
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
      take(text.length());
      disk.replace(file, text);
    }

    @Override
    public void truncate(Path file, long bytes) throws IOException {
      disk.truncate(file, bytes);
    }

    @Override
    public long room(Path file) {
      return room;
    }
  }

  @Test
  void onAFullDiskItSaysWhatIsFullAndGoesOnOnceThereIsRoom() throws IOException {
    FullDisk disk = new FullDisk(50_000);
    SessionRecorder recorder = new SessionRecorder(folder, DATE, disk);
    frame(recorder, 1);
    recorder.save();
    long seq = 2;
    while (recorder.failure().isEmpty()) {
      frame(recorder, seq++);
    }
    assertThat(recorder.failure())
        .contains("trades.csv cannot be written (the disk is full)")
        .contains("is recorded up to frame 1")
        .contains("free some disk space");
    assertThat(recorder.lastFrame()).isEqualTo(1);
    frame(recorder, seq);
    recorder.save();
    assertThat(recorder.failure()).as("still full").isNotEmpty();
    assertThatThrownBy(recorder::close).hasMessageContaining("the disk is full");

    disk.room = 10_000_000;
    recorder.save();
    assertThat(recorder.failure()).isEmpty();
    assertThat(recorder.lastFrame()).as("from here it must be asked for again").isEqualTo(1);
    for (long again = 2; again <= seq; again++) {
      frame(recorder, again);
    }
    recorder.close();

    assertThat(read().tape().size()).isEqualTo((int) seq);
  }

  @Test
  void newsOfOtherSourcesOutlivesAFullDisk() throws IOException {
    FullDisk disk = new FullDisk(2_000);
    SessionRecorder recorder = new SessionRecorder(folder, DATE, disk);
    recorder.newsBetweenFrames(
        new kelvo.news.Catalyst(
            DayTime.of(9, 0), "Quay", "Tidal Arc files its report", "", List.of("TIDARC")));
    disk.room = 0;
    recorder.save();
    assertThat(recorder.failure()).contains("cannot be written");

    disk.room = 10_000_000;
    recorder.save();
    recorder.close();

    assertThat(read().catalysts())
        .singleElement()
        .satisfies(item -> assertThat(item.headline()).isEqualTo("Tidal Arc files its report"));
  }
}
