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

  private static final Path INVENTED = invent();

  private DemoCopy() {}

  private static Path invent() {
    try {
      Path folder = Files.createTempDirectory("kelvo-demo");
      DemoFolder.write(folder, DemoSize.SMALL, DemoFolder.SEED, Progress.NONE);
      new DataFolder(folder, new ExchangeCalendar()).session(DemoSize.SESSION, Progress.NONE);
      Runtime.getRuntime().addShutdownHook(new Thread(() -> remove(folder)));
      return folder;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A folder that only one test has. */
  static Path make() {
    try (Stream<Path> files = Files.walk(INVENTED)) {
      Path copy = Files.createTempDirectory("kelvo-test");
      for (Path file : files.skip(1).toList()) {
        Files.copy(
            file,
            copy.resolve(INVENTED.relativize(file).toString()),
            StandardCopyOption.COPY_ATTRIBUTES);
      }
      return copy;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A folder that only one test has, with the same prints on the day before, too. */
  static Path makeWithDayBefore() {
    Path folder = make();
    Path sessions = folder.resolve("sessions");
    try (Stream<Path> files = Files.list(sessions.resolve(DemoSize.SESSION.toString()))) {
      Path before = Files.createDirectories(sessions.resolve(DAY_BEFORE.toString()));
      for (Path file : files.toList()) {
        Files.copy(file, before.resolve(file.getFileName()));
      }
      return folder;
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
