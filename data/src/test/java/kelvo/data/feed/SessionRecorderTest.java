package kelvo.data.feed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.job.Progress;
import kelvo.news.Catalyst;
import kelvo.session.Session;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

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
    recorder.newsBetweenFrames(news(DayTime.of(9, 0), "Tidal Arc files its report"));
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

  /** A disk on which one write is torn in the middle for want of room, counted once it is armed. */
  private static final class TornWrite implements RecordingStore {
    private final RecordingStore disk = RecordingStore.DISK;
    private final int torn;
    private boolean armed;
    private int writes;

    TornWrite(int torn) {
      this.torn = torn;
    }

    private boolean isTorn() {
      return armed && writes++ == torn;
    }

    @Override
    public Writer append(Path file) throws IOException {
      Writer to = disk.append(file);
      return new Writer() {
        @Override
        public void write(char[] characters, int from, int length) throws IOException {
          if (isTorn()) {
            to.write(characters, from, length / 2);
            to.flush();
            throw new IOException("No space left on device");
          }
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
      if (isTorn()) {
        throw new IOException("No space left on device");
      }
      disk.replace(file, text);
    }

    @Override
    public void truncate(Path file, long bytes) throws IOException {
      disk.truncate(file, bytes);
    }

    @Override
    public long room(Path file) throws IOException {
      return disk.room(file);
    }
  }

  private static Catalyst news(long at, String headline) {
    return new Catalyst(at, "Quay", headline, "", List.of("TIDARC"));
  }

  /** A frame with rows of several tables and an item of news. */
  private static void wideFrame(FeedSink to, long seq) {
    long at = DayTime.of(9, 30) + seq * DayTime.SECOND;
    to.frameBegins(seq);
    to.trade(at, "TIDARC", 82_000 + seq, 100, REGULAR, seq);
    to.quote(at, "TIDARC", 81_900, 100, 82_100, 100);
    to.cancel(at, "TIDARC", seq);
    to.news(news(at, "of the feed " + seq));
    to.frameDone(seq);
  }

  /**
   * Records six frames and asks again for what a failure has cost, as a client does.
   *
   * @param killed whether a failure is followed by a new start instead of more room
   * @return how many saves have failed
   */
  private static int recordSix(Path folder, TornWrite store, boolean killed) {
    int failures = 0;
    // Of what comes between frames there is no other copy, so that a kill would lose it.
    boolean told = killed;
    SessionRecorder recorder = new SessionRecorder(folder, DATE, store);
    store.armed = true;
    while (recorder.lastFrame() < 6) {
      wideFrame(recorder, recorder.lastFrame() + 1);
      if (recorder.lastFrame() == 3 && !told) {
        told = true;
        recorder.newsBetweenFrames(news(DayTime.of(9, 31), "of another source"));
      }
      if (recorder.lastFrame() % 2 == 0) {
        recorder.save();
      }
      if (!recorder.failure().isEmpty()) {
        failures++;
        if (killed) {
          recorder = new SessionRecorder(folder, DATE, store);
        } else {
          recorder.save();
          assertThat(recorder.failure()).isEmpty();
        }
      }
    }
    try {
      recorder.close();
    } catch (UncheckedIOException e) {
      new SessionRecorder(folder, DATE, store).close();
      failures++;
    }
    return failures;
  }

  /** The tables with their names, and the headlines of the news. */
  private static List<String> contents(Path folder) throws IOException {
    List<String> contents = new ArrayList<>();
    try (Stream<Path> all = Files.walk(folder)) {
      for (Path file : all.filter(Files::isRegularFile).sorted().toList()) {
        String text = Files.readString(file);
        contents.add(
            folder.relativize(file)
                + "\n"
                + (text.startsWith("{")
                    ? Pattern.compile("\"title\":\"[^\"]*\"")
                        .matcher(text)
                        .results()
                        .map(MatchResult::group)
                        .sorted()
                        .toList()
                    : text));
      }
    }
    return contents;
  }

  @ParameterizedTest
  @ValueSource(booleans = {false, true})
  void whicheverWriteIsTornByAFullDiskEveryRowIsThereOnce(boolean killed, @TempDir Path other)
      throws IOException {
    Path whole = Files.createDirectories(other.resolve("whole"));
    TornWrite never = new TornWrite(Integer.MAX_VALUE);
    recordSix(whole, never, killed);

    int failed = 0;
    for (int torn = 0; torn < never.writes; torn++) {
      Path tried = Files.createDirectories(other.resolve("torn-" + torn));
      failed += recordSix(tried, new TornWrite(torn), killed);
      assertThat(contents(tried)).as("write %d is torn", torn).isEqualTo(contents(whole));
    }
    assertThat(failed).as("writes before the end").isGreaterThan(never.writes / 2);
  }
}
