package kelvo.desktop.shell;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import kelvo.desktop.shell.OpenRequest.Load;

/** What can be opened: data folders with their sessions, and the demo. */
public interface Places {
  /** The folders that were opened last, the newest first; off the window's thread. */
  List<Path> recent();

  /** Remembers a folder as opened; off the window's thread. */
  void opened(Path folder);

  /**
   * The recorded sessions of a folder, oldest first; off the window's thread.
   *
   * @throws RuntimeException saying why it cannot be read
   */
  List<LocalDate> sessions(Path folder);

  /** Reads a session of a folder. */
  Load folder(Path folder, LocalDate date);

  /** Reads the demo. */
  Load demo();
}
