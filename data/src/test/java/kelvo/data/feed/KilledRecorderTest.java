package kelvo.data.feed;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.TimeUnit;
import kelvo.data.KillableProcesses;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/**
 * Processes that record a session are killed at random moments and go on with it: none loses what
 * it had called saved, and in the end the record is that of one which nobody killed, to the byte.
 * {@code -Dkelvo.kills=500} tries it more often.
 */
class KilledRecorderTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);
  private static final int KILLS =
      Integer.getInteger("kelvo.kills", Boolean.getBoolean("kelvo.proofs") ? 100 : 1);
  private static final int FRAMES_EACH = 20;
  private static final int BETWEEN_SAVES = 2;

  /** Enough for all of them, with some to spare for the last. */
  private static final int FRAMES = (KILLS + 2) * 2 * FRAMES_EACH;

  private static final List<String> FILES =
      List.of(
          "trades.csv",
          "quotes.csv",
          "status.csv",
          "corrections.csv",
          "imbalance.csv",
          "mentions.csv",
          "fills.csv",
          "recorded.txt");

  @TempDir Path killed;
  @TempDir Path undisturbed;
  @TempDir Path scratch;

  @Tag("sampled")
  @Test
  @Timeout(value = 1, unit = TimeUnit.HOURS)
  void noKillLosesWhatWasSavedAndTheRecordIsWholeInTheEnd()
      throws IOException, InterruptedException {
    KillableProcesses recorders =
        new KillableProcesses(
            scratch, KilledRecorderTest.class, scratch.resolve("first").toString(), "20");
    recorders.kill(
        KILLS, 2 * FRAMES_EACH / BETWEEN_SAVES, killed.toString(), String.valueOf(FRAMES));

    record(undisturbed, FRAMES, false);
    for (String file : FILES) {
      assertThat(of(killed, file)).as(file).hasSameBinaryContentAs(of(undisturbed, file));
    }
    assertThat(killed.resolve("news/live-2031-03-12.json"))
        .hasSameBinaryContentAs(undisturbed.resolve("news/live-2031-03-12.json"));
  }

  private static Path of(Path folder, String file) {
    return folder.resolve("sessions/2031-03-12").resolve(file);
  }

  /** What a process does until it is killed: says where it goes on, and what is saved. */
  public static void main(String[] args) throws IOException {
    record(Path.of(args[0]), Integer.parseInt(args[1]), true);
  }

  private static void record(Path folder, int frames, boolean tells) throws IOException {
    try (SessionRecorder recorder = new SessionRecorder(folder, DATE)) {
      FeedReader reader =
          new FeedReader(
              DATE,
              recorder,
              fault -> {
                throw new IllegalStateException(fault);
              });
      tell(tells, recorder.lastFrame());
      for (long seq = recorder.lastFrame() + 1; seq <= frames; seq++) {
        reader.frame(seq, InventedFrames.events(DATE, seq));
        if (seq % BETWEEN_SAVES == 0 || seq == frames) {
          recorder.save();
          tell(tells, seq);
        }
      }
    }
  }

  private static void tell(boolean tells, long frame) {
    if (tells) {
      System.out.println(frame);
    }
  }
}
