package kelvo.tests;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.googlejavaformat.java.Formatter;
import com.google.googlejavaformat.java.FormatterException;
import com.google.googlejavaformat.java.ImportOrderer;
import com.google.googlejavaformat.java.JavaFormatterOptions;
import com.google.googlejavaformat.java.RemoveUnusedImports;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Every Java file is formatted by one formatter. With {@code KELVO_WRITE_FORMAT=true} in the
 * environment the files are formatted instead. A test, so that it runs on the same JDK whatever
 * Java runs Maven.
 */
class FormatTest {
  private static final Path PROJECT = Path.of("..");
  private static final boolean WRITES = Boolean.parseBoolean(System.getenv("KELVO_WRITE_FORMAT"));

  @Tag("proof")
  @Test
  void everyFileIsFormatted() throws IOException {
    try (Stream<Path> files = Files.walk(PROJECT)) {
      List<Path> sources = files.filter(FormatTest::isSource).toList();
      assertThat(sources).hasSizeGreaterThan(1_000);
      assertThat(sources.parallelStream().filter(source -> !isFormatted(source)).sorted().toList())
          .as("files to format; KELVO_WRITE_FORMAT=true writes them")
          .isEmpty();
    }
  }

  private static boolean isSource(Path file) {
    String path = file.toString();
    return path.endsWith(".java") && path.contains("/src/");
  }

  private static boolean isFormatted(Path source) {
    try {
      String text = Files.readString(source);
      String imports =
          ImportOrderer.reorderImports(
              RemoveUnusedImports.removeUnusedImports(text), JavaFormatterOptions.Style.GOOGLE);
      String formatted = new Formatter().formatSource(imports);
      if (WRITES && !formatted.equals(text)) {
        Files.writeString(source, formatted);
        return true;
      }
      return formatted.equals(text);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (FormatterException e) {
      throw new AssertionError(source + " cannot be formatted", e);
    }
  }
}
