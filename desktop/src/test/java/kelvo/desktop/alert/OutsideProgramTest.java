package kelvo.desktop.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import kelvo.alert.AlertEvent;
import kelvo.alert.Ring;
import kelvo.delivery.Channel;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.DisabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;

/** Programs of the system, played by scripts in a folder that stands for the search path. */
@DisabledOnOs(OS.WINDOWS)
class OutsideProgramTest {
  @TempDir Path path;

  private final BlockingQueue<String> told = new LinkedBlockingQueue<>();

  private void program(String name, String script) throws IOException {
    Path file = path.resolve(name);
    Files.writeString(file, "#!/bin/sh\n" + script + "\n");
    Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rwxr-xr-x"));
  }

  private String search() {
    return path + File.pathSeparator + "/nowhere";
  }

  private String next() throws InterruptedException {
    String next = told.poll(20, TimeUnit.SECONDS);
    assertThat(next).as("something told within 20 s").isNotNull();
    return next;
  }

  private static Ring ring(Channel channel) {
    AlertEvent event =
        new AlertEvent(
            DayTime.of(9, 41),
            7,
            "KELPOR",
            AlertEvent.Kind.ALERT,
            "KELPOR halt",
            "halted",
            Side.UP,
            82_100,
            Double.NaN,
            Double.NaN,
            Double.NaN,
            "");
    return new Ring(event, Ring.Rank.WATCHED, true, Ring.Outcome.RINGS, 0.5, Set.of(channel));
  }

  @Test
  void theFirstProgramThatIsThereIsCalledWithItsWords() throws IOException, InterruptedException {
    program("second", "echo \"$@\" > \"" + path.resolve("said") + "\"; exit 3");
    try (OutsideProgram found =
        OutsideProgram.first(
                List.of(List.of("first"), List.of("second", "--")), search(), told::add)
            .orElseThrow()) {
      found.call("K E L P O R. halted", "now; rm -rf x");

      assertThat(next()).isEqualTo("second failed (3); alerts still pop up");
      assertThat(path.resolve("said"))
          .content()
          .isEqualTo("-- K E L P O R. halted now; rm -rf x\n");
    }
  }

  @Test
  void withoutAProgramItIsSaidOnce() throws Exception {
    try (AlertOutlets outlets =
        new AlertOutlets(path, LocalDate.of(2031, 3, 12), search(), told::add)) {
      outlets.ring(ring(Channel.SPOKEN), "", "", "");
      outlets.ring(ring(Channel.SPOKEN), "", "", "");
      outlets.ring(ring(Channel.NOTIFICATION), "", "", "");
      outlets.ring(ring(Channel.WEBHOOK), "", "", "");
    }
    assertThat(told)
        .containsExactly(
            "Nothing is spoken: this machine has no speech program (espeak-ng)",
            "No notification: this machine has no program for them (notify-send)",
            "An alert goes by webhook, but Settings has no webhook address");
  }

  @Test
  void aRingIsSpokenLetterByLetter() throws IOException, InterruptedException {
    program("espeak-ng", "echo \"$@\" > \"" + path.resolve("said") + "\"; exit 1");
    try (AlertOutlets outlets =
        new AlertOutlets(path, LocalDate.of(2031, 3, 12), search(), told::add)) {
      outlets.ring(ring(Channel.SPOKEN), "", "", "");
      next();
    }
    assertThat(path.resolve("said")).content().isEqualTo("-- K E L P O R. halted\n");
  }

  @Test
  void aProgramThatIsAtWorkEndsWithTheWindow()
      throws ExecutionException, InterruptedException, IOException, TimeoutException {
    program("espeak-ng", "exec sleep 600");
    ProcessHandle begun;
    try (OutsideProgram found =
        OutsideProgram.first(List.of(List.of("espeak-ng")), search(), told::add).orElseThrow()) {
      found.call("words");
      until(() -> sleeping().findAny().isPresent());
      begun = sleeping().findAny().orElseThrow();
    }

    begun.onExit().get(20, TimeUnit.SECONDS);
    assertThat(told).isEmpty();
  }

  private static Stream<ProcessHandle> sleeping() {
    return ProcessHandle.current()
        .children()
        .filter(child -> child.info().commandLine().orElse("").endsWith("sleep 600"));
  }

  private static void until(BooleanSupplier so) {
    long deadline = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
    while (!so.getAsBoolean()) {
      assertThat(System.nanoTime()).isLessThan(deadline);
      Thread.onSpinWait();
    }
  }

  @Test
  void aProgramThatCannotBeStartedIsTold() throws IOException, InterruptedException {
    Path file = path.resolve("espeak-ng");
    Files.writeString(file, "#!/no/such/shell\n");
    Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rwxr-xr-x"));
    try (OutsideProgram found =
        OutsideProgram.first(List.of(List.of("espeak-ng")), search(), told::add).orElseThrow()) {
      found.call("words");
      assertThat(next()).isEqualTo("espeak-ng could not be started; alerts still pop up");
    }
  }
}
