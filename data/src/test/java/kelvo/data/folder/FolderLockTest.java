package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class FolderLockTest {
  @TempDir Path folder;

  @Test
  void onlyOneHasItAtATime() {
    FolderLock first = FolderLock.of(folder, "a test").orElseThrow();
    assertThat(FolderLock.of(folder, "a test")).isEmpty();

    assertThat(FolderLock.whyNot(folder))
        .isEqualTo(
            folder
                + " is being written to by a test, process "
                + ProcessHandle.current().pid()
                + "; close that one, or name another folder");

    first.close();
    assertThat(folder.resolve(".kelvo-lock")).isEmptyFile();
    try (FolderLock second = FolderLock.of(folder, "a test").orElseThrow()) {
      assertThat(second).isNotNull();
    }
  }

  @Test
  void aFolderThatCannotBeWrittenHasNone() {
    assertThat(FolderLock.of(folder.resolve("nowhere"), "a test")).isEmpty();
  }

  /** The lock is the operating system's: it ends with the process that had it. */
  @Test
  void aKilledProcessLetsItGo() throws IOException, InterruptedException {
    Process holder =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                Holder.class.getName(),
                folder.toString())
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    assertThat(holder.getInputStream().read()).isEqualTo('y');
    assertThat(FolderLock.of(folder, "a test")).isEmpty();

    holder.destroyForcibly().waitFor();

    assertThat(FolderLock.of(folder, "a test")).isPresent();
  }

  /** Takes the lock, says so, and waits to be killed. */
  static final class Holder {
    private Holder() {}

    public static void main(String[] args) throws Exception {
      System.out.write(FolderLock.of(Path.of(args[0]), "a test").isPresent() ? 'y' : 'n');
      System.out.flush();
      Thread.currentThread().join();
    }
  }
}
