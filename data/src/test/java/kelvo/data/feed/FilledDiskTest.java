package kelvo.data.feed;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A real file system of a few megabytes that is full at another write each time: once there is
 * room, the record is that of a disk that was never full, to the byte. It needs such a file system,
 * empty, at {@code -Dkelvo.small.disk=FOLDER}; bench/run faults makes one where it may.
 */
@Tag("proof")
@EnabledIfSystemProperty(named = FilledDiskTest.DISK, matches = ".+")
class FilledDiskTest {
  static final String DISK = "kelvo.small.disk";

  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);
  private static final int FRAMES = 6_000;
  private static final int BETWEEN_SAVES = 50;
  private static final int STEP = 8_192;
  private static final int MOST_TRIES = 10;

  private final Path disk = Path.of(System.getProperty(DISK, ""));
  private final Path filler = disk.resolve("filler");

  @TempDir Path undisturbed;

  @ParameterizedTest(name = "a new recorder goes on: {0}")
  @ValueSource(booleans = {false, true})
  void whicheverWriteFailsEveryRowIsThereOnce(boolean anew) throws IOException {
    record(undisturbed, anew);
    Map<String, String> expected = contents(undisturbed);
    long size = expected.values().stream().mapToLong(String::length).sum();
    FileStore store = Files.getFileStore(disk);
    assertThat(store.getUsableSpace()).as("room on a small disk").isBetween(2 * size, 100 * size);

    int full = 0;
    for (long room = STEP; room < size; room += STEP) {
      Path folder = Files.createDirectory(disk.resolve("record"));
      Files.write(filler, new byte[Math.toIntExact(store.getUsableSpace() - room)]);
      full += record(folder, anew) ? 1 : 0;
      Files.deleteIfExists(filler);

      // Not compared as a whole, which would print all that was recorded.
      assertThat(contents(folder).equals(expected)).as("with room for %d bytes", room).isTrue();
      remove(folder);
    }
    assertThat(full).isGreaterThan(50);
  }

  /** Records all frames, making room when the disk is full; whether it was. */
  private boolean record(Path folder, boolean anew) throws IOException {
    boolean full = false;
    for (int tries = 0; tries < MOST_TRIES; tries++) {
      try (SessionRecorder recorder = new SessionRecorder(folder, DATE)) {
        boolean whole = recordWith(recorder);
        if (!whole && !anew) {
          Files.deleteIfExists(filler);
          recorder.save();
          whole = recordWith(recorder);
          full = true;
        }
        if (whole) {
          return full;
        }
      } catch (UncheckedIOException e) {
        // Not even its tables could be begun.
        assertThat(filler).exists();
      }
      full = true;
      Files.deleteIfExists(filler);
    }
    throw new AssertionError("the disk stayed full");
  }

  private static boolean recordWith(SessionRecorder recorder) throws IOException {
    FeedReader reader =
        new FeedReader(
            DATE,
            recorder,
            fault -> {
              throw new IllegalStateException(fault);
            });
    for (long seq = recorder.lastFrame() + 1; seq <= FRAMES; seq++) {
      reader.frame(seq, InventedFrames.events(DATE, seq));
      if (seq % BETWEEN_SAVES == 0 || seq == FRAMES) {
        recorder.save();
        if (!recorder.failure().isEmpty()) {
          return false;
        }
      }
    }
    return true;
  }

  private static Map<String, String> contents(Path folder) throws IOException {
    Map<String, String> contents = new TreeMap<>();
    try (Stream<Path> files = Files.walk(folder)) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        contents.put(folder.relativize(file).toString(), Files.readString(file));
      }
    }
    return contents;
  }

  private static void remove(Path folder) throws IOException {
    try (Stream<Path> files = Files.walk(folder)) {
      List<Path> deepestFirst = files.sorted(Comparator.reverseOrder()).toList();
      for (Path file : deepestFirst) {
        Files.delete(file);
      }
    }
  }
}
