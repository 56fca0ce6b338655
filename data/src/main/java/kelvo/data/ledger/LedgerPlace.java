package kelvo.data.ledger;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * Where a ledger lies while it is open. SQLite goes on writing to a file whose folder was deleted,
 * and all of that would be lost without a word.
 *
 * @param key by which the file system knows the file; null where it has no such keys
 */
record LedgerPlace(Path file, @Nullable Object key) {
  /** The place of a file that is there. */
  static LedgerPlace of(Path file) {
    try {
      return new LedgerPlace(file, keyOf(file));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static @Nullable Object keyOf(Path file) throws IOException {
    return Files.readAttributes(file, BasicFileAttributes.class).fileKey();
  }

  /**
   * Looks whether the file is still where it was.
   *
   * @throws UncheckedIOException when it is not
   */
  void requireThere() {
    try {
      if (!Objects.equals(keyOf(file), key)) {
        throw new NoSuchFileException(file.toString());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
