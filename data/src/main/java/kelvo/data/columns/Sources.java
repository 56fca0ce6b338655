package kelvo.data.columns;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.stream.Stream;
import java.util.zip.CRC32C;

/**
 * What columns are made from, in words that change when it does: files by name, size and time, and
 * what is known otherwise by a checksum. Owned by one thread.
 */
public final class Sources {
  private final StringBuilder words = new StringBuilder();

  /** And a file, or that there is none. */
  public Sources file(Path file) {
    words.append(file.getFileName()).append(' ');
    try {
      BasicFileAttributes seen = Files.readAttributes(file, BasicFileAttributes.class);
      words.append(seen.size()).append(' ').append(seen.lastModifiedTime());
    } catch (NoSuchFileException e) {
      words.append("none");
    } catch (IOException e) {
      words.append(e);
    }
    words.append('\n');
    return this;
  }

  /** And all files of a folder, or that there is none. */
  public Sources folder(Path folder) {
    try (Stream<Path> files = Files.list(folder)) {
      files.sorted().forEach(this::file);
    } catch (NoSuchFileException e) {
      words.append(folder.getFileName()).append(" none\n");
    } catch (IOException e) {
      words.append(e).append('\n');
    }
    return this;
  }

  /** And some texts in their order. */
  public Sources texts(String what, Iterable<String> texts) {
    CRC32C sum = new CRC32C();
    int count = 0;
    for (String text : texts) {
      sum.update(text.getBytes(StandardCharsets.UTF_8));
      sum.update('\n');
      count++;
    }
    words.append(what).append(' ').append(count).append(' ');
    words.append(Long.toHexString(sum.getValue())).append('\n');
    return this;
  }

  @Override
  public String toString() {
    return words.toString();
  }
}
