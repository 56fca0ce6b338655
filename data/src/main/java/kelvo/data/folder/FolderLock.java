package kelvo.data.folder;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Says that a data folder is being written to, so that a second window only reads it. The lock is
 * the operating system's: it ends with the process, however that ends.
 */
public final class FolderLock implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(FolderLock.class);
  private static final String FILE = ".kelvo-lock";

  private final FileChannel channel;

  private FolderLock(FileChannel channel) {
    this.channel = channel;
  }

  /** Takes the lock of a folder; empty when another window has it or it cannot be written to. */
  public static Optional<FolderLock> of(Path folder) {
    FileChannel opened = null;
    try {
      opened =
          FileChannel.open(
              folder.resolve(FILE), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
      FileLock lock = opened.tryLock();
      if (lock != null) {
        return Optional.of(new FolderLock(opened));
      }
    } catch (IOException | OverlappingFileLockException e) {
      LOG.info("{} is not locked: {}", folder, e.toString());
    }
    close(opened);
    return Optional.empty();
  }

  private static void close(@org.jspecify.annotations.Nullable FileChannel opened) {
    if (opened != null) {
      try {
        opened.close();
      } catch (IOException e) {
        LOG.info("a lock could not be let go", e);
      }
    }
  }

  @Override
  public void close() {
    close(channel);
  }
}
