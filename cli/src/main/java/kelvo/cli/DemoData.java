package kelvo.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import kelvo.data.folder.FolderLock;
import kelvo.job.Progress;
import kelvo.refusal.RefusedException;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import org.jspecify.annotations.Nullable;

/** The data folders of the invented markets, written once and kept. */
final class DemoData {
  private DemoData() {}

  /** Where the demo lies unless one says otherwise. */
  static Path root(@Nullable Path named) {
    return named != null ? named : home().resolve("demo");
  }

  /** Where the market of the live feed lies. */
  static Path market() {
    return home().resolve("market");
  }

  /** Where Kelvo keeps what belongs to no data folder. */
  static Path home() {
    return Path.of(System.getProperty("user.home"), ".kelvo");
  }

  /**
   * Writes what a market's day is opened with unless it is there; returns whether it was.
   *
   * @throws IllegalStateException when another process writes to the folder
   */
  static boolean ready(Path root, DemoSize size, long seed, Progress progress) {
    Path stamp = root.resolve("demo-" + DemoFolder.VERSION + "-" + seed);
    if (Files.exists(stamp)) {
      return true;
    }
    try {
      Files.createDirectories(root);
      FolderLock lock = lock(root);
      try (lock) {
        if (Files.exists(stamp)) {
          return true;
        }
        DemoFolder.writeDay(root, size, seed, progress);
        Files.createFile(stamp);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(
          "cannot write to " + root + "; name another place with --folder", e);
    }
    return false;
  }

  /**
   * Keeps other processes from writing to a folder.
   *
   * @throws IllegalStateException when another does
   */
  static FolderLock lock(Path root) {
    return FolderLock.of(root, "a start of the demo")
        .orElseThrow(() -> new RefusedException(FolderLock.whyNot(root)));
  }
}
