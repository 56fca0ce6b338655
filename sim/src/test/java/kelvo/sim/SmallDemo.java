package kelvo.sim;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.job.Progress;

/**
 * The small demo folder with the columns of its session. It is invented once for all the processes
 * of a test run, and tests work on copies of it.
 */
public final class SmallDemo {
  /** System property: the folder that all processes of one test run share. */
  private static final String SHARED = "kelvo.tests.demo";

  private static final Path INVENTED = invented();

  private SmallDemo() {}

  /**
   * Copies the demo into a folder, which is made if it does not exist.
   *
   * @throws UncheckedIOException if it cannot be read or written
   */
  public static void copyTo(Path folder) {
    copy(INVENTED, folder);
  }

  /** Copies a folder with its times of change, by which columns know whether they are current. */
  public static void copy(Path from, Path to) {
    try (Stream<Path> files = Files.walk(from)) {
      Files.createDirectories(to);
      for (Path file : files.skip(1).toList()) {
        Files.copy(
            file, to.resolve(from.relativize(file).toString()), StandardCopyOption.COPY_ATTRIBUTES);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Removes a folder with everything in it. */
  public static void remove(Path folder) {
    try (Stream<Path> files = Files.walk(folder)) {
      List<Path> deepestFirst = files.sorted(Comparator.reverseOrder()).toList();
      for (Path file : deepestFirst) {
        Files.deleteIfExists(file);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Path invented() {
    String shared = System.getProperty(SHARED);
    try {
      if (shared == null) {
        Path own = Files.createTempDirectory("kelvo-demo");
        Runtime.getRuntime().addShutdownHook(new Thread(() -> remove(own)));
        write(own);
        return own;
      }
      return onceAmongProcesses(Path.of(shared));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Path onceAmongProcesses(Path shared) throws IOException {
    Path parent = Files.createDirectories(shared.getParent());
    try (FileChannel channel =
        FileChannel.open(
            parent.resolve("demo.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
      // Until the channel is closed.
      channel.lock();
      if (!Files.exists(shared)) {
        removeThoseOfEarlierRuns(parent);
        Path unfinished = parent.resolve("demo-unfinished");
        write(unfinished);
        Files.move(unfinished, shared);
      }
      return shared;
    }
  }

  private static void removeThoseOfEarlierRuns(Path parent) throws IOException {
    try (Stream<Path> siblings = Files.list(parent)) {
      siblings
          .filter(one -> one.getFileName().toString().startsWith("demo-"))
          .forEach(SmallDemo::remove);
    }
  }

  private static void write(Path folder) {
    DemoFolder.write(folder, DemoSize.SMALL, DemoFolder.SEED, Progress.NONE);
    new DataFolder(folder, new ExchangeCalendar()).session(DemoSize.SESSION, Progress.NONE);
  }
}
