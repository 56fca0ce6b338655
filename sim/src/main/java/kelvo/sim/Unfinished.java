package kelvo.sim;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * Where the files of a date are written until all of them are complete, so that an open data folder
 * never has half a session.
 *
 * @param folder empty at first
 */
record Unfinished(Path folder) {
  private static final String PLACE = ".kelvo/unfinished";

  /**
   * The place for a date, emptied.
   *
   * @throws UncheckedIOException when the disk refuses
   */
  static Unfinished of(Path root, LocalDate date) {
    Path folder = root.resolve(PLACE).resolve(date.toString());
    try {
      Files.createDirectories(folder);
      for (Path left : files(folder)) {
        // Left behind by a process that was killed.
        Files.delete(left);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return new Unfinished(folder);
  }

  /**
   * Moves all that is there to where it belongs.
   *
   * @param last the name of the file to move last; readers look for it
   * @throws UncheckedIOException when the disk refuses
   */
  void finish(Path to, String last) {
    try {
      Files.createDirectories(to);
      List<Path> files =
          files(folder).stream().sorted(Comparator.comparing(file -> file.endsWith(last))).toList();
      for (Path file : files) {
        Files.move(file, to.resolve(file.getFileName()), StandardCopyOption.ATOMIC_MOVE);
      }
      Files.delete(folder);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static List<Path> files(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files.toList();
    }
  }
}
