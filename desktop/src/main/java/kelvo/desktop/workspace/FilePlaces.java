package kelvo.desktop.workspace;

import java.nio.file.Path;
import java.util.Optional;
import javafx.stage.Window;

/**
 * Asks the trader for files and folders; empty when there was no answer. On the window's thread.
 */
public interface FilePlaces {
  /** A file that is there already. */
  Optional<Path> open(Window over, String title);

  /**
   * A file to be written.
   *
   * @param name what it is called unless the trader says otherwise
   * @param endings what it may end in, without the dot; the first is offered first
   */
  Optional<Path> save(Window over, String name, String... endings);

  /** A folder that is there already. */
  Optional<Path> folder(Window over, String title);
}
