package kelvo.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import kelvo.data.folder.FolderLock;
import kelvo.job.Progress;
import kelvo.refusal.RefusedException;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** An invented market is written once, by one process. */
class DemoDataTest {
  private static final DemoSize SIZE = new DemoSize(60, 30, 6_000, DemoSize.SESSION);

  @TempDir Path folder;

  private boolean ready() {
    return DemoData.ready(folder.resolve("demo"), SIZE, DemoFolder.SEED, Progress.NONE);
  }

  @Test
  void itIsWrittenOnce() throws IOException {
    assertThat(ready()).isFalse();
    Path securities = folder.resolve("demo/securities.csv");
    Files.writeString(securities, "kept");

    assertThat(ready()).isTrue();
    assertThat(securities).hasContent("kept");
  }

  @Test
  void nothingIsWrittenWhileAnotherWrites() throws IOException {
    Path root = Files.createDirectories(folder.resolve("demo"));
    FolderLock other = DemoData.lock(root);
    try (other) {
      assertThatThrownBy(this::ready)
          .isInstanceOf(RefusedException.class)
          .hasMessageContaining("demo is being written to by a start of the demo, process ")
          .hasMessageEndingWith("; close that one, or name another folder");
      try (Stream<Path> there = Files.list(root)) {
        assertThat(there.map(file -> file.getFileName().toString())).containsExactly(".kelvo-lock");
      }
    }
    assertThat(ready()).isFalse();
  }
}
