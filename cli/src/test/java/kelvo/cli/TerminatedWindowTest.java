package kelvo.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import kelvo.data.ledger.Ledger;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.job.Progress;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A window whose process is told to end keeps what it keeps when it is closed. */
@Tag("proof")
class TerminatedWindowTest {
  /** Says in the first line that is looked for when the day has been opened. */
  private static final String LOG =
      """
      <configuration>
        <appender name="out" class="ch.qos.logback.core.ConsoleAppender">
          <encoder><pattern>%msg%n</pattern></encoder>
        </appender>
        <logger name="kelvo" level="INFO"><appender-ref ref="out"/></logger>
      </configuration>
      """;

  @TempDir Path folder;

  @Test
  void whereTheDayWasLeftIsKept() throws IOException, InterruptedException {
    DemoFolder.write(
        folder, new DemoSize(60, 30, 6_000, DemoSize.SESSION), DemoFolder.SEED, Progress.NONE);
    Path log = Files.writeString(folder.resolve("log.xml"), LOG);
    Process window =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Dglass.platform=Headless",
                "-Dprism.order=sw",
                "-Dlogback.configurationFile=" + log,
                "--enable-native-access=ALL-UNNAMED",
                "-Duser.home=" + folder,
                "-cp",
                System.getProperty("java.class.path"),
                Kelvo.class.getName(),
                "open",
                folder.toString(),
                "--at",
                "09:41")
            .redirectErrorStream(true)
            .start();
    try (BufferedReader told =
        new BufferedReader(
            new InputStreamReader(window.getInputStream(), StandardCharsets.UTF_8))) {
      String line = told.readLine();
      while (line != null && !line.equals("The day 2031-03-12 is open")) {
        line = told.readLine();
      }
      assertThat(line).as("it opened").isNotNull();
      window.toHandle().destroy();
      // JavaFX, which ends at the same time, may have words of its own.
      told.lines().forEach(said -> {});
      assertThat(window.waitFor(60, TimeUnit.SECONDS)).isTrue();
    } finally {
      window.destroyForcibly();
    }

    assertThat(folder.resolve(OpenedDay.LEDGER + "-wal")).doesNotExist();
    assertThat(folder.resolve(".kelvo-lock")).isEmptyFile();
    try (Ledger ledger = Ledger.readOnly(folder.resolve(OpenedDay.LEDGER))) {
      assertThat(ledger.leftAt(DemoSize.SESSION)).hasValue(DayTime.of(9, 41));
    }
  }
}
