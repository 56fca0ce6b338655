package kelvo.data.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermission;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Keeps what the trader did and recorded from other users of the machine. */
public final class OwnerOnly {
  private static final Logger LOG = LoggerFactory.getLogger(OwnerOnly.class);
  private static final Set<PosixFilePermission> READ_AND_WRITE =
      Set.of(PosixFilePermission.OWNER_READ, PosixFilePermission.OWNER_WRITE);

  private static final Set<PosixFilePermission> ALL_OF_A_FOLDER =
      Set.of(
          PosixFilePermission.OWNER_READ,
          PosixFilePermission.OWNER_WRITE,
          PosixFilePermission.OWNER_EXECUTE);

  private OwnerOnly() {}

  /**
   * Makes a folder unless it is there, and lets only its owner look into it. What cannot be done is
   * left, and the log says so.
   */
  public static void folder(Path folder) {
    try {
      Files.createDirectories(folder);
      restrict(folder, ALL_OF_A_FOLDER);
    } catch (IOException e) {
      LOG.warn("{} cannot be made: {}", folder, e.toString());
    }
  }

  /**
   * Lets only its owner read and write a file that is there. A file system without such rights, or
   * a file of somebody else's, is left as it is, and the log says so.
   */
  public static void file(Path file) {
    restrict(file, READ_AND_WRITE);
  }

  private static void restrict(Path file, Set<PosixFilePermission> to) {
    PosixFileAttributeView rights = Files.getFileAttributeView(file, PosixFileAttributeView.class);
    if (rights == null || !Files.exists(file)) {
      return;
    }
    try {
      rights.setPermissions(to);
    } catch (IOException e) {
      LOG.warn("{} stays readable as it is: {}", file, e.toString());
    }
  }
}
