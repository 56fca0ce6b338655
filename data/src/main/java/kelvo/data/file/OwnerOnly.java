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

  private OwnerOnly() {}

  /**
   * Lets only its owner read and write a file that is there. A file system without such rights, or
   * a file of somebody else's, is left as it is, and the log says so.
   */
  public static void file(Path file) {
    PosixFileAttributeView rights = Files.getFileAttributeView(file, PosixFileAttributeView.class);
    if (rights == null || !Files.exists(file)) {
      return;
    }
    try {
      rights.setPermissions(READ_AND_WRITE);
    } catch (IOException e) {
      LOG.warn("{} stays readable as it is: {}", file, e.toString());
    }
  }
}
