package kelvo.data.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.LocalDate;
import java.util.stream.Stream;
import kelvo.data.feed.SessionRecorder;
import kelvo.data.ledger.Ledger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The ledger and what is recorded are for their owner only, where the file system has such rights.
 */
class OwnerOnlyTest {
  @TempDir Path folder;

  private static String rights(Path file) {
    try {
      return PosixFilePermissions.toString(Files.getPosixFilePermissions(file));
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  @Test
  void nobodyElseReadsTheLedgerOrARecord() throws IOException {
    assumeTrue(FileSystems.getDefault().supportedFileAttributeViews().contains("posix"));
    Ledger.open(folder.resolve("ledger.sqlite")).close();
    try (SessionRecorder recorder = new SessionRecorder(folder, LocalDate.of(2031, 3, 12))) {
      recorder.save();
    }

    assertThat(rights(folder.resolve("ledger.sqlite"))).isEqualTo("rw-------");
    try (Stream<Path> recorded = Files.walk(folder.resolve("sessions"))) {
      assertThat(recorded.filter(Files::isRegularFile))
          .isNotEmpty()
          .allMatch(file -> rights(file).equals("rw-------"));
    }
  }
}
