package kelvo.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import kelvo.engine.Progress;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import org.jspecify.annotations.Nullable;

/** The demo's data folder, written once and kept. */
final class DemoData {
  private DemoData() {}

  /** Where it lies unless one says otherwise. */
  static Path root(@Nullable Path named) {
    return named != null ? named : Path.of(System.getProperty("user.home"), ".kelvo", "demo");
  }

  /** Writes it unless it is there; returns whether it was. */
  static boolean ready(Path root, Progress progress) {
    Path stamp = root.resolve("demo-" + DemoFolder.VERSION + "-" + DemoFolder.SEED);
    if (Files.exists(stamp)) {
      return true;
    }
    DemoFolder.write(root, DemoSize.DEMO, DemoFolder.SEED, progress);
    try {
      Files.createFile(stamp);
    } catch (IOException e) {
      throw new UncheckedIOException(
          "cannot write to " + root + "; name another place with --folder", e);
    }
    return false;
  }
}
