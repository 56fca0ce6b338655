package kelvo.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import kelvo.data.ledger.KeptHit;
import kelvo.data.ledger.Ledger;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.sim.DemoSize;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/**
 * Windows on a live day are killed at random moments and followed by the next: in the end what they
 * have recorded is what a window records that nobody kills, to the byte, and so are the hits in the
 * ledger. {@code -Dkelvo.kills=500} kills fifty.
 */
class KilledWindowTest {
  private static final int KILLS = Math.max(2, Integer.getInteger("kelvo.kills", 0) / 10);
  private static final int EVENTS = 40_000;
  private static final String SESSION = "sessions/" + DemoSize.SESSION;
  private static final List<String> FILES =
      List.of("trades.csv", "quotes.csv", "status.csv", "corrections.csv", "recorded.txt");

  @TempDir Path original;
  @TempDir Path killed;
  @TempDir Path undisturbed;

  @Tag("proof")
  @Test
  @Timeout(value = 1, unit = TimeUnit.HOURS)
  void recordAndHitsAreThoseOfAWindowThatNobodyKills() throws IOException, InterruptedException {
    ServedDay day = new ServedDay(original, EVENTS);
    try {
      day.prepare(undisturbed);
      day.prepare(killed);
      record(day, undisturbed, day.frames());
      long[] frames =
          new SplittableRandom(20_310_312).longs(KILLS, 0, day.frames()).sorted().toArray();
      for (long frame : frames) {
        Process window = window(day, killed);
        awaitFrame(window, killed, frame);
        window.destroyForcibly().waitFor();
      }
      record(day, killed, day.frames());

      for (String file : FILES) {
        assertThat(killed.resolve(SESSION).resolve(file))
            .as(file)
            .hasSameBinaryContentAs(undisturbed.resolve(SESSION).resolve(file));
      }
      assertThat(hits(killed)).containsExactlyInAnyOrderElementsOf(hits(undisturbed)).isNotEmpty();
    } finally {
      day.end();
    }
  }

  private static List<KeptHit> hits(Path folder) {
    try (Ledger ledger = Ledger.readOnly(folder.resolve(OpenedDay.LEDGER))) {
      return ledger.hits(DemoSize.SESSION);
    }
  }

  private static Process window(ServedDay day, Path folder) throws IOException {
    return new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-Dglass.platform=Headless",
            "-Dprism.order=sw",
            "--enable-native-access=ALL-UNNAMED",
            "-Duser.home=" + folder,
            "-Djava.io.tmpdir=" + folder,
            "-cp",
            System.getProperty("java.class.path"),
            Kelvo.class.getName(),
            "live",
            day.address(),
            "--data",
            folder.toString())
        .redirectErrorStream(true)
        .redirectOutput(folder.resolve("window.txt").toFile())
        .start();
  }

  private static void record(ServedDay day, Path folder, long frames)
      throws IOException, InterruptedException {
    Process window = window(day, folder);
    awaitFrame(window, folder, frames);
    window.toHandle().destroy();
    assertThat(window.waitFor(60, TimeUnit.SECONDS)).as("it ends when it is told to").isTrue();
  }

  /** Waits until the record is said to hold so many frames. */
  private static void awaitFrame(Process window, Path folder, long frame)
      throws IOException, InterruptedException {
    while (recorded(folder) < frame) {
      assertThat(window.waitFor(5, TimeUnit.MILLISECONDS))
          .as(() -> "it has ended: " + said(folder))
          .isFalse();
    }
  }

  private static long recorded(Path folder) throws IOException {
    Path mark = folder.resolve(SESSION + "/recorded.txt");
    String text = Files.exists(mark) ? Files.readString(mark).strip() : "";
    return text.isEmpty() ? 0 : Long.parseLong(text);
  }

  private static String said(Path folder) {
    try {
      return Files.readString(folder.resolve("window.txt"));
    } catch (IOException e) {
      return e.toString();
    }
  }
}
