package kelvo.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A recorder that is told to end, as Ctrl+C does, ends in order. */
class InterruptedRecordingTest {
  @TempDir Path folder;
  @TempDir Path recorded;

  @Tag("proof")
  @Test
  void itsTablesAreClosedAndItsColumnsMade() throws IOException, InterruptedException {
    ServedDay day = new ServedDay(folder, 6_000);
    day.prepare(recorded);
    Process recorder =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                Kelvo.class.getName(),
                "record",
                day.address(),
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
      day.end();
    }
  }
}
