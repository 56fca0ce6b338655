package kelvo.data.columns;

import java.io.IOException;
import java.nio.channels.ClosedByInterruptException;
import java.nio.channels.FileChannel;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The column files of a data folder, {@code .kelvo/columns}. They may be deleted at any time. A
 * file is written beside its place and moved there when it is whole, so that a kill leaves what was
 * there before. Thread-safe.
 */
public final class Columns {
  private static final Logger LOG = LoggerFactory.getLogger(Columns.class);
  private static final String ENDING = ".columns";
  private static final String UNFINISHED = ".unfinished";
  private static final Duration LONGEST_WRITING = Duration.ofHours(1);

  private final Path folder;

  /** The columns of a data folder. */
  public Columns(Path root) {
    folder = root.resolve(".kelvo").resolve("columns");
  }

  /**
   * What a file of columns says; empty when there is none, when it was made from something else, or
   * when it cannot be used, which is logged.
   *
   * @param read takes it out of the file; may throw {@link TornColumns}
   * @throws CancellationException when the thread is interrupted
   */
  public <T> Optional<T> find(String name, Sources sources, Function<ColumnFile, T> read) {
    Path path = path(name);
    if (!Files.exists(path)) {
      return Optional.empty();
    }
    try {
      ColumnFile file = ColumnFile.open(path);
      return file.sources().equals(sources.toString())
          ? Optional.of(read.apply(file))
          : Optional.empty();
    } catch (ClosedByInterruptException e) {
      throw stopped(name, e);
    } catch (IOException | TornColumns | IndexOutOfBoundsException e) {
      LOG.warn("{} is not used and will be made again: {}", path, e.toString());
      return Optional.empty();
    }
  }

  /**
   * Keeps columns for the next time. What cannot be written is logged; the tables stay.
   *
   * @throws CancellationException when the thread is interrupted
   */
  public void keep(String name, Sources sources, NewColumns columns) {
    Path path = path(name);
    Path unfinished = null;
    try {
      Files.createDirectories(path.getParent());
      removeLeftOver(path);
      unfinished = Files.createTempFile(path.getParent(), prefix(path), UNFINISHED);
      try (FileChannel channel = FileChannel.open(unfinished, StandardOpenOption.WRITE)) {
        columns.write(channel, sources.toString());
      }
      Files.move(
          unfinished, path, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException e) {
      if (unfinished != null) {
        remove(unfinished);
      }
      if (e instanceof ClosedByInterruptException) {
        throw stopped(name, e);
      }
      LOG.warn("{} could not be written, so that tables are read again: {}", path, e.toString());
    }
  }

  private static CancellationException stopped(String name, IOException by) {
    CancellationException stopped =
        new CancellationException("work on the columns of " + name + " was stopped");
    stopped.initCause(by);
    return stopped;
  }

  private static String prefix(Path path) {
    return path.getFileName() + ".";
  }

  /** What a killed process has left; a file of the last hour may be at work. */
  private static void removeLeftOver(Path path) throws IOException {
    FileTime old = FileTime.from(Instant.now().minus(LONGEST_WRITING));
    try (DirectoryStream<Path> found =
        Files.newDirectoryStream(path.getParent(), prefix(path) + "*" + UNFINISHED)) {
      for (Path file : found) {
        if (Files.getLastModifiedTime(file).compareTo(old) < 0) {
          remove(file);
        }
      }
    }
  }

  private static void remove(Path unfinished) {
    try {
      Files.deleteIfExists(unfinished);
    } catch (IOException e) {
      LOG.info("{} could not be removed: {}", unfinished, e.toString());
    }
  }

  private Path path(String name) {
    return folder.resolve(name + ENDING);
  }
}
