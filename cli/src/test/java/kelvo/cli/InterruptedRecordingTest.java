package kelvo.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import kelvo.job.Progress;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A recorder that is told to end, as Ctrl+C does, ends in order. */
class InterruptedRecordingTest {
  @TempDir Path folder;
  @TempDir Path recorded;

  private SimCommand served() throws Exception {
    DemoFolder.write(
        folder, new DemoSize(60, 30, 6_000, DemoSize.SESSION), DemoFolder.SEED, Progress.NONE);
    PrintStream nowhere = new PrintStream(OutputStream.nullOutputStream(), false);
    SimCommand sim = new SimCommand(new Terminal(nowhere, nowhere));
    sim.folder = folder;
    sim.speed = 0;
    sim.port = 0;
    sim.newsPort = 0;
    sim.fixPort = 0;
    Thread.ofVirtual()
        .start(
            () -> {
              try {
                sim.call();
              } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
              } catch (IOException | RuntimeException e) {
                sim.serving.completeExceptionally(e);
              }
            });
    return sim;
  }

  @Test
  void itsTablesAreClosedAndItsColumnsMade() throws Exception {
    SimCommand sim = served();
    Files.copy(folder.resolve("securities.csv"), recorded.resolve("securities.csv"));
    Process recorder =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                Kelvo.class.getName(),
                "record",
                "ws://localhost:" + sim.serving.get(60, TimeUnit.SECONDS),
                "--data",
                recorded.toString(),
                "--date",
                "2031-03-12")
            .redirectErrorStream(true)
            .start();
    try (BufferedReader told =
        new BufferedReader(
            new InputStreamReader(recorder.getInputStream(), StandardCharsets.UTF_8))) {
      String line = told.readLine();
      while (line != null && !line.contains("session of 2031-03-12")) {
        line = told.readLine();
      }
      assertThat(line).as("it began").isNotNull();
      recorder.toHandle().destroy();
      List<String> rest = told.lines().toList();

      assertThat(recorder.waitFor(60, TimeUnit.SECONDS)).isTrue();
      assertThat(rest).anyMatch(said -> said.startsWith("Recorded up to frame"));
      assertThat(recorded.resolve(".kelvo/columns/sessions/2031-03-12.columns")).isNotEmptyFile();
    } finally {
      recorder.destroyForcibly();
      sim.end.countDown();
    }
  }
}
