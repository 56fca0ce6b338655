package kelvo.data.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Files that cannot be read are moved aside before new ones take their place, and never lost. */
public final class KeptAside {
  private static final String ENDING = ".unreadable";

  private KeptAside() {}

  /**
   * Moves a file to a name beside it that no file has.
   *
   * @return where it is now
   * @throws IOException when it cannot be moved
   */
  public static Path move(Path file) throws IOException {
    String name = file.getFileName() + ENDING;
    Path aside = file.resolveSibling(name);
    for (int i = 2; Files.exists(aside); i++) {
      aside = file.resolveSibling(name + "-" + i);
    }
    return Files.move(file, aside);
  }
}
