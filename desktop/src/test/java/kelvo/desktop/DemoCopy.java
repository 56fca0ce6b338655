package kelvo.desktop;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.job.Progress;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;

/**
 * Copies of the small demo folder with its columns, one a test; it is invented once a run and no
 * window opens it itself.
 */
final class DemoCopy {
  /** The session before, of a folder that has it. */
  static final LocalDate DAY_BEFORE = DemoSize.SESSION.minusDays(1);

  private static final Path INVENTED = invented();

  /** Invented once too, when a test first wants it. */
  private static final class WithDayBefore {
    static final Path INVENTED = inventedWithDayBefore();
  }

  private DemoCopy() {}

  private static Path invented() {
    try {
      Path folder = Files.createTempDirectory("kelvo-demo");
      DemoFolder.write(folder, DemoSize.SMALL, DemoFolder.SEED, Progress.NONE);
      keepColumns(folder, DemoSize.SESSION);
      Runtime.getRuntime().addShutdownHook(new Thread(() -> remove(folder)));
      return folder;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Path inventedWithDayBefore() {
    Path folder = make();
    Path sessions = folder.resolve("sessions");
    try (Stream<Path> files = Files.list(sessions.resolve(DemoSize.SESSION.toString()))) {
      Path before = Files.createDirectories(sessions.resolve(DAY_BEFORE.toString()));
      for (Path file : files.toList()) {
        Files.copy(file, before.resolve(file.getFileName()));
      }
      keepColumns(folder, DAY_BEFORE);
      Runtime.getRuntime().addShutdownHook(new Thread(() -> remove(folder)));
      return folder;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** So that no test needs to read the tables of a session again. */
  private static void keepColumns(Path folder, LocalDate date) {
    new DataFolder(folder, new ExchangeCalendar()).session(date, Progress.NONE);
  }

  /** A folder that only one test has. */
  static Path make() {
    return copy(INVENTED);
  }

  /** A folder that only one test has, with the same prints on the day before, too. */
  static Path makeWithDayBefore() {
    return copy(WithDayBefore.INVENTED);
  }

  private static Path copy(Path invented) {
    try (Stream<Path> files = Files.walk(invented)) {
      Path copy = Files.createTempDirectory("kelvo-test");
      for (Path file : files.skip(1).toList()) {
        Files.copy(
            file,
            copy.resolve(invented.relativize(file).toString()),
            StandardCopyOption.COPY_ATTRIBUTES);
      }
      return copy;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Removes a folder with all that is in it. */
  static void remove(Path folder) {
    try (Stream<Path> files = Files.walk(folder)) {
      List<Path> deepestFirst = files.sorted(Comparator.reverseOrder()).toList();
      for (Path file : deepestFirst) {
        Files.deleteIfExists(file);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
