package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.feed.FeedReader;
import kelvo.data.feed.FeedWriter;
import kelvo.data.feed.SessionRecorder;
import kelvo.data.folder.DataFolder;
import kelvo.data.scanfile.ScanFile;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.job.Progress;
import kelvo.player.SessionRun;
import kelvo.replay.TapeReplay;
import kelvo.rule.Vocabulary;
import kelvo.session.Session;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The same session through its files, through the feed and its recording, and dragged: the same
 * hits to the last value.
 */
class RecordingTest {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final DemoSize SIZE = new DemoSize(240, 280, 30_000, DemoSize.SESSION);
  private static final int FRAME = 400;
  private static final Program PROGRAM =
      new Program(ScanFile.shipped(Vocabulary.DEFAULT), List.of());

  @TempDir Path original;
  @TempDir Path recorded;

  private static Session read(Path folder, List<String> faults) {
    DataFolder data = new DataFolder(folder, new ExchangeCalendar());
    Session session = data.session(DemoSize.SESSION, Progress.NONE);
    data.faults().forEach(f -> faults.add(f.sentence()));
    return session;
  }

  private static List<Hit> hits(Session session) {
    List<Hit> hits = new ArrayList<>();
    ScanEngine.replay(session, PROGRAM, hits::add).runTo(DayTime.LAST);
    return hits;
  }

  private void record(Session session, List<String> faults, boolean killed) throws IOException {
    FeedWriter writer = new FeedWriter(session, List.of());
    int events = session.tape().size();
    int frames = (events + FRAME - 1) / FRAME;
    SessionRecorder recorder = new SessionRecorder(recorded, DemoSize.SESSION);
    FeedReader reader = new FeedReader(DemoSize.SESSION, recorder, faults::add);
    for (long seq = recorder.lastFrame() + 1; seq <= frames; seq++) {
      reader.frame(seq, frame(writer, seq, events));
      if (seq == frames / 3) {
        recorder.save();
      }
      if (killed && seq == frames / 2) {
        return;
      }
    }
    recorder.close();
  }

  private static JsonNode frame(FeedWriter writer, long seq, int events) throws IOException {
    int from = (int) (seq - 1) * FRAME;
    return JSON.readTree(writer.frame(seq, from, Math.min(events, from + FRAME))).get("e");
  }

  @Tag("proof")
  @Test
  void filesFeedRecordingAndDraggingGiveTheSameHits() throws IOException {
    giveTheSameHits(DemoFolder.SEED);
  }

  @Tag("proof")
  @Test
  void ofAnotherMarketTheyDoToo() throws IOException {
    giveTheSameHits(11);
  }

  private void giveTheSameHits(long seed) throws IOException {
    DemoFolder.write(original, SIZE, seed, Progress.NONE);
    List<String> faults = new ArrayList<>();
    Session session = read(original, faults);
    for (String file : List.of("securities.csv", "actions.csv", "daily.csv.zst", "calendar.csv")) {
      if (Files.exists(original.resolve(file))) {
        Files.copy(original.resolve(file), recorded.resolve(file));
      }
    }
    record(session, faults, true);
    Files.writeString(
        recorded.resolve("sessions/2031-03-12/trades.csv"),
        "16:00:00.000,TIDARC,9.1",
        StandardOpenOption.APPEND);
    record(session, faults, false);
    Session again = read(recorded, faults);

    assertThat(faults).isEmpty();
    List<Hit> expected = hits(session);
    assertThat(expected).hasSizeGreaterThan(50);
    assertThat(hits(again)).isEqualTo(expected);
    SessionRun run = SessionRun.of(again, PROGRAM, Progress.NONE);
    assertThat(run.hits()).isEqualTo(expected);
    TapeReplay dragged = run.replay();
    for (long moment : new long[] {DayTime.of(15, 0), DayTime.of(7, 30), DayTime.of(10, 0)}) {
      run.seek(dragged, moment);
      TapeReplay played = new TapeReplay(again);
      played.runTo(moment);
      assertThat(dragged.events()).isEqualTo(played.events());
    }
  }

  @Test
  void aFolderThatHasTheSessionFromElsewhereIsLeftAsItIs() throws IOException {
    Path trades = original.resolve("sessions/2031-03-12/trades.csv");
    Files.createDirectories(trades.getParent());
    Files.writeString(trades, "time,symbol,price,size,conditions\n");

    assertThatThrownBy(() -> new SessionRecorder(original, DemoSize.SESSION))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("name another folder");
    assertThat(trades).hasContent("time,symbol,price,size,conditions\n");
  }
}
