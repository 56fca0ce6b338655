package kelvo.data.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.stream.Stream;
import kelvo.data.fault.PlainReason;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WholeFileTest {
  @TempDir Path folder;

  private List<String> names() throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files.map(file -> file.getFileName().toString()).sorted().toList();
    }
  }

  @Test
  void whatFailsLeavesTheOldFileAndNothingBeside() throws IOException {
    Path file = Files.writeString(folder.resolve("backup.zip"), "good");

    assertThatThrownBy(
            () ->
                WholeFile.replace(
                    file,
                    out -> {
                      out.write(new byte[100_000]);
                      throw new IOException("No space left on device");
                    }))
        .satisfies(e -> assertThat(PlainReason.of(e)).isEqualTo("the disk is full"));
    assertThatThrownBy(
            () ->
                WholeFile.replace(
                    file,
                    out -> {
                      throw new IllegalStateException("thrown while writing");
                    }))
        .hasMessage("thrown while writing");

    assertThat(file).hasContent("good");
    assertThat(names()).containsExactly("backup.zip");
  }

  @Test
  void whatAKillHasLeftBesideIsWrittenOver() throws IOException {
    Files.writeString(folder.resolve("a.json.unfinished"), "{ half");

    WholeFile.replace(folder.resolve("a.json"), "{}");

    assertThat(folder.resolve("a.json")).hasContent("{}");
    assertThat(names()).containsExactly("a.json");
  }

  @Test
  void onlyTheOwnerReadsWhatIsOfNobodyElse() throws IOException {
    Path file = folder.resolve("backup.zip");

    WholeFile.replaceForOwner(
        file,
        out -> assertThat(rights(folder.resolve("backup.zip.unfinished"))).isEqualTo("rw-------"));

    assertThat(rights(file)).isEqualTo("rw-------");
  }

  private static String rights(Path file) throws IOException {
    return PosixFilePermissions.toString(Files.getPosixFilePermissions(file));
  }

  @Test
  void aLinkStaysALink() throws IOException {
    Path file = Files.writeString(folder.resolve("real.json"), "old");
    Path link = Files.createSymbolicLink(folder.resolve("link.json"), file);

    WholeFile.replace(link, "new");

    assertThat(link).isSymbolicLink();
    assertThat(file).hasContent("new");
  }

  @Test
  void aFolderAndAFolderThatIsNotThereAreNamed() {
    assertThatThrownBy(() -> WholeFile.replace(folder, "text"))
        .satisfies(e -> assertThat(PlainReason.of(e)).isEqualTo(folder + ": it is a folder"));
    assertThatThrownBy(() -> WholeFile.replace(folder.resolve("no/such.csv"), "text"))
        .satisfies(
            e ->
                assertThat(PlainReason.of(e))
                    .isEqualTo(folder.resolve("no") + ": there is no such folder"));
  }
}
