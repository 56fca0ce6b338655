package kelvo.data.file;

import java.io.BufferedOutputStream;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/**
 * Writes a file beside its place and moves it there once it is whole and on disk: whoever looks,
 * and a kill or a full disk at any moment, finds the old file or the new one.
 */
public final class WholeFile {
  /** What a file is to hold. */
  @FunctionalInterface
  public interface Contents {
    /** Writes all of it; may close the stream, and need not. */
    void writeTo(OutputStream out) throws IOException;
  }

  private WholeFile() {}

  /**
   * Puts a text in UTF-8 in the place of a file.
   *
   * @throws IOException when it cannot be written; the file is as it was
   */
  public static void replace(Path file, String text) throws IOException {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    replace(file, out -> out.write(bytes));
  }

  /**
   * Puts contents in the place of a file. What is no file, such as a pipe, is written to as it is.
   *
   * @throws IOException when they cannot be written; the file is as it was
   */
  public static void replace(Path file, Contents contents) throws IOException {
    write(file, contents, false);
  }

  /** Likewise, and only the owner of the file may read and write it from the start. */
  public static void replaceForOwner(Path file, Contents contents) throws IOException {
    write(file, contents, true);
  }

  private static void write(Path file, Contents contents, boolean forOwner) throws IOException {
    if (Files.exists(file) && !Files.isRegularFile(file)) {
      if (Files.isDirectory(file)) {
        throw new FileSystemException(file.toString(), null, "it is a folder");
      }
      try (OutputStream out = Files.newOutputStream(file)) {
        contents.writeTo(out);
      }
      return;
    }
    // A link stays one, and what it leads to is replaced.
    Path target = Files.exists(file) ? file.toRealPath() : file.toAbsolutePath();
    Path folder = target.getParent();
    if (folder == null || !Files.isDirectory(folder)) {
      throw new FileSystemException(String.valueOf(folder), null, "there is no such folder");
    }
    Path unfinished = target.resolveSibling(target.getFileName() + ".unfinished");
    try {
      Files.deleteIfExists(unfinished);
      try (FileChannel channel =
              FileChannel.open(
                  unfinished, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
          OutputStream out = new BufferedOutputStream(Channels.newOutputStream(channel))) {
        if (forOwner) {
          OwnerOnly.file(unfinished);
        }
        contents.writeTo(staysOpen(out));
        out.flush();
        channel.force(true);
      }
      Files.move(
          unfinished, target, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
    } catch (IOException | RuntimeException e) {
      removeUnfinished(unfinished, e);
      throw e;
    }
  }

  /**
   * A writer that closes what it writes to must not end the file, which has yet to reach the disk.
   */
  private static OutputStream staysOpen(OutputStream out) {
    return new FilterOutputStream(out) {
      @Override
      public void write(byte[] bytes, int from, int length) throws IOException {
        out.write(bytes, from, length);
      }

      @Override
      public void close() throws IOException {
        out.flush();
      }
    };
  }

  private static void removeUnfinished(Path unfinished, Exception reason) {
    try {
      Files.deleteIfExists(unfinished);
    } catch (IOException e) {
      reason.addSuppressed(e);
    }
  }
}
