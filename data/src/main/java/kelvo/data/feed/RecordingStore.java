package kelvo.data.feed;

import java.io.IOException;
import java.io.Writer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import kelvo.data.file.OwnerOnly;

/** Where a recorder writes. The disk, but for tests in which that is full. */
interface RecordingStore {
  /** The disk. */
  RecordingStore DISK = new Disk();

  /** Opens a file to write at its end, making it when there is none. */
  Writer append(Path file) throws IOException;

  /** Puts a text in place of a file, which is whole at every moment. */
  void replace(Path file, String text) throws IOException;

  /** Cuts a file to its first so many bytes; what is not there is left so. */
  void truncate(Path file, long bytes) throws IOException;

  /** How many bytes can still be written beside a file. */
  long room(Path file) throws IOException;

  /** The disk. */
  final class Disk implements RecordingStore {
    @Override
    public Writer append(Path file) throws IOException {
      Writer writer =
          Files.newBufferedWriter(file, StandardOpenOption.CREATE, StandardOpenOption.APPEND);
      OwnerOnly.file(file);
      return writer;
    }

    @Override
    public void replace(Path file, String text) throws IOException {
      // Not forced to the disk as other files are: it must not get there before the tables' rows.
      Path part = file.resolveSibling(file.getFileName() + ".part");
      Files.writeString(part, text);
      OwnerOnly.file(part);
      Files.move(part, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
    }

    @Override
    public void truncate(Path file, long bytes) throws IOException {
      if (Files.exists(file)) {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
          channel.truncate(bytes);
        }
      }
    }

    @Override
    public long room(Path file) throws IOException {
      return Files.getFileStore(file).getUsableSpace();
    }
  }
}
