package kelvo.sim;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.FileVisitOption;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.stream.Stream;

/** A data folder as it is on the eve of a session: what a live window needs to begin. */
public final class EveOfSession {
  private static final List<String> KNOWN_BEFORE =
      List.of("securities", "actions", "daily", "calendar", "minutes", "scans");

  private EveOfSession() {}

  /** Copies from a data folder what is known before a session; files that are there stay. */
  public static void write(Path from, Path to) {
    try (Stream<Path> files = Files.walk(from, FileVisitOption.FOLLOW_LINKS)) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        Path relative = from.relativize(file);
        String stem = relative.getName(0).toString().replaceFirst("\\..*", "");
        Path target = to.resolve(relative);
        if (KNOWN_BEFORE.contains(stem) && !Files.exists(target)) {
          Files.createDirectories(target.toAbsolutePath().getParent());
          Files.copy(file, target, StandardCopyOption.COPY_ATTRIBUTES);
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException("cannot write to " + to + "; name another folder", e);
    }
  }
}
