package kelvo.desktop;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.stream.Stream;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.job.Progress;
import kelvo.sim.DemoSize;
import kelvo.sim.SmallDemo;

/** Copies of the small demo folder with its columns, one a test. */
final class DemoCopy {
  /** The session before, of a folder that has it. */
  static final LocalDate DAY_BEFORE = DemoSize.SESSION.minusDays(1);

  /** Made when a test first wants it. */
  private static final class WithDayBefore {
    static final Path MADE = withDayBefore();
  }

  private DemoCopy() {}

  private static Path withDayBefore() {
    Path folder = make();
    Path sessions = folder.resolve("sessions");
    try (Stream<Path> files = Files.list(sessions.resolve(DemoSize.SESSION.toString()))) {
      Path before = Files.createDirectories(sessions.resolve(DAY_BEFORE.toString()));
      for (Path file : files.toList()) {
        Files.copy(file, before.resolve(file.getFileName()));
      }
      // So that no test needs to read the tables again.
      new DataFolder(folder, new ExchangeCalendar()).session(DAY_BEFORE, Progress.NONE);
      Runtime.getRuntime().addShutdownHook(new Thread(() -> remove(folder)));
      return folder;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A folder that only one test has. */
  static Path make() {
    Path copy = temporary();
    SmallDemo.copyTo(copy);
    return copy;
  }

  /** A folder that only one test has, with the same prints on the day before, too. */
  static Path makeWithDayBefore() {
    Path copy = temporary();
    SmallDemo.copy(WithDayBefore.MADE, copy);
    return copy;
  }

  private static Path temporary() {
    try {
      return Files.createTempDirectory("kelvo-test");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Removes a folder with all that is in it. */
  static void remove(Path folder) {
    SmallDemo.remove(folder);
  }
}
