package kelvo.data.setting;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import kelvo.data.file.WholeFile;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The data folders that were opened, the last one first: a line each in a file of the trader's own.
 * To lose it costs a click, so what cannot be read or written is only logged.
 */
public final class RecentFolders {
  private static final Logger LOG = LoggerFactory.getLogger(RecentFolders.class);
  private static final String NAME = "folders.txt";
  private static final int MOST = 8;

  private final Path file;

  /**
   * The folders.
   *
   * @param home where Kelvo keeps what belongs to no data folder
   */
  public RecentFolders(Path home) {
    file = home.resolve(NAME);
  }

  /** Those that are still there. */
  public List<Path> all() {
    List<Path> folders = new ArrayList<>();
    try {
      if (Files.isRegularFile(file)) {
        for (String line : Files.readAllLines(file)) {
          Path folder = Path.of(line);
          if (Files.isDirectory(folder)) {
            folders.add(folder);
          }
        }
      }
    } catch (IOException | InvalidPathException e) {
      LOG.warn("{} cannot be read: {}", file, e.getMessage());
    }
    return List.copyOf(folders);
  }

  /** Puts a folder first. */
  public void opened(Path folder) {
    Path whole = folder.toAbsolutePath().normalize();
    List<String> lines = new ArrayList<>(List.of(whole.toString()));
    all().stream()
        .filter(other -> !other.equals(whole))
        .limit(MOST - 1)
        .forEach(other -> lines.add(other.toString()));
    try {
      Files.createDirectories(file.getParent());
      WholeFile.replace(file, String.join("\n", lines) + "\n");
    } catch (IOException e) {
      LOG.warn("{} cannot be written: {}", file, e.getMessage());
    }
  }
}
