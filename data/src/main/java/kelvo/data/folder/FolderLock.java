package kelvo.data.folder;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
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
  private static final int LONGEST_HOLDER = 80;

  private final FileChannel channel;

  private FolderLock(FileChannel channel) {
    this.channel = channel;
  }

  /**
   * Takes the lock of a folder; empty when somebody else has it or it cannot be written to.
   *
   * @param who takes it, in words for others: "a window", "a recorder"
   */
  public static Optional<FolderLock> of(Path folder, String who) {
    FileChannel opened = null;
    try {
      opened =
          FileChannel.open(
              folder.resolve(FILE), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
      FileLock lock = opened.tryLock();
      if (lock != null) {
        write(opened, who + ", process " + ProcessHandle.current().pid());
        return Optional.of(new FolderLock(opened));
      }
    } catch (IOException | OverlappingFileLockException e) {
      LOG.info("{} is not locked: {}", folder, e.toString());
    }
    close(opened);
    return Optional.empty();
  }

  private static void write(FileChannel lock, String words) throws IOException {
    lock.truncate(0);
    lock.write(ByteBuffer.wrap(words.getBytes(StandardCharsets.UTF_8)));
    lock.force(false);
  }

  /** Why a folder could not be locked, with who holds it, and the way out; without a full stop. */
  public static String whyNot(Path folder) {
    String holder = "";
    try {
      holder = Files.readString(folder.resolve(FILE)).strip();
    } catch (IOException e) {
      LOG.info("{} does not say who holds it: {}", folder, e.toString());
    }
    return holder.isEmpty()
        ? folder + " cannot be written to; name another folder, or see to who owns it"
        : folder
            + " is being written to by "
            + holder.substring(0, Math.min(holder.length(), LONGEST_HOLDER))
            + "; close that one, or name another folder";
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
    try {
      channel.truncate(0);
    } catch (IOException e) {
      LOG.info("the holder of a lock could not be taken off", e);
    }
    close(channel);
  }
}
