package kelvo.data.columns;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.CancellationException;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Columns are what was kept, or nothing: never something else. */
class ColumnsTest {
  private static final long[] NUMBERS = new SplittableRandom(17).longs(5_000).toArray();
  private static final List<String> TEXTS = List.of("TIDARC", "", "ü\n2");

  @TempDir Path folder;
  private Path source;
  private Columns columns;

  @BeforeEach
  void keep() throws IOException {
    source = folder.resolve("daily.csv");
    Files.writeString(source, "symbol,date\n");
    columns = new Columns(folder);
    columns.keep("days/2031-03-12", sources(), made());
  }

  private Sources sources() {
    return new Sources().file(source).file(folder.resolve("none.csv")).texts("symbols", TEXTS);
  }

  private static NewColumns made() {
    return new NewColumns()
        .with("shorts", MemorySegment.ofArray(new short[] {1, -2, 3}))
        .with(
            "numbers",
            List.of(
                MemorySegment.ofArray(NUMBERS).asSlice(0, 8),
                MemorySegment.ofArray(NUMBERS).asSlice(8)))
        .withTexts("texts", TEXTS)
        .with("nothing", List.of());
  }

  private Path file() {
    return folder.resolve(".kelvo/columns/days/2031-03-12.columns");
  }

  private record Read(long[] numbers, short[] shorts, List<String> texts, long nothing) {}

  private Optional<Read> read() {
    return columns.find(
        "days/2031-03-12",
        sources(),
        file ->
            new Read(
                file.column("numbers").toArray(ValueLayout.JAVA_LONG),
                file.column("shorts").toArray(ValueLayout.JAVA_SHORT),
                file.texts("texts"),
                file.column("nothing").byteSize()));
  }

  private void assertWhole(Read read) {
    assertThat(read.numbers).isEqualTo(NUMBERS);
    assertThat(read.shorts).containsExactly((short) 1, (short) -2, (short) 3);
    assertThat(read.texts).isEqualTo(TEXTS);
    assertThat(read.nothing).isZero();
  }

  @Test
  void whatWasKeptIsFound() {
    assertWhole(read().orElseThrow());
  }

  @Test
  void anotherSizeOrTimeOfASourceMakesThemStale() throws IOException {
    FileTime time = Files.getLastModifiedTime(source);
    Files.writeString(source, "symbol,date\nTIDARC,2031-03-11\n");
    Files.setLastModifiedTime(source, time);
    assertThat(read()).isEmpty();

    columns.keep("days/2031-03-12", sources(), made());
    assertThat(read()).isPresent();

    Files.setLastModifiedTime(source, FileTime.from(time.toInstant().plusSeconds(1)));
    assertThat(read()).isEmpty();
  }

  @Test
  void aSourceThatAppearsMakesThemStale() throws IOException {
    Files.writeString(folder.resolve("none.csv"), "");

    assertThat(read()).isEmpty();
  }

  @Test
  void aFileCutOffAnywhereIsNotUsed() throws IOException {
    byte[] whole = Files.readAllBytes(file());
    for (int length : new int[] {0, 1, 7, 8, 12, 15, 16, 40, 200, 1_000, whole.length - 1}) {
      Files.write(file(), Arrays.copyOf(whole, length));

      assertThat(read()).as(length + " bytes").isEmpty();
    }
  }

  @Test
  void aByteChangedAnywhereIsNoticed() throws IOException {
    byte[] whole = Files.readAllBytes(file());
    SplittableRandom random = new SplittableRandom(3);
    for (int i = 0; i < 400; i++) {
      byte[] torn = whole.clone();
      int place = random.nextInt(whole.length);
      torn[place] ^= (byte) (1 << random.nextInt(8));
      Files.write(file(), torn);

      // What is changed may be what only pads columns.
      read().ifPresent(this::assertWhole);
    }
    Files.write(file(), whole);
    assertThat(read()).isPresent();
  }

  @Test
  void zerosThatAPowerCutLeftAreNoticed() throws IOException {
    byte[] torn = Files.readAllBytes(file());
    Arrays.fill(torn, torn.length / 2, torn.length, (byte) 0);
    Files.write(file(), torn);

    assertThat(read()).isEmpty();
  }

  @Test
  void aForeignFileIsNotUsedAndIsMadeAgain() throws IOException {
    Files.writeString(file(), "not columns at all, but long enough to have a header");
    assertThat(read()).isEmpty();

    columns.keep("days/2031-03-12", sources(), made());
    assertWhole(read().orElseThrow());
  }

  @Test
  void aReaderThatIsKilledWhileItWritesLeavesWhatWasThere() throws IOException {
    Path left = file().resolveSibling("2031-03-12.columns.123.unfinished");
    Files.write(left, Arrays.copyOf(Files.readAllBytes(file()), 900));
    assertWhole(read().orElseThrow());

    Files.setLastModifiedTime(left, FileTime.from(Instant.now().minus(Duration.ofHours(2))));
    columns.keep("days/2031-03-12", sources(), made());

    assertWhole(read().orElseThrow());
    try (Stream<Path> files = Files.list(file().getParent())) {
      assertThat(files).containsExactly(file());
    }
  }

  @Test
  void theyMayBeDeletedWhileTheyAreUsed() throws IOException {
    MemorySegment numbers =
        columns.find("days/2031-03-12", sources(), file -> file.column("numbers")).orElseThrow();
    Files.delete(file());

    assertThat(numbers.toArray(ValueLayout.JAVA_LONG)).isEqualTo(NUMBERS);
    assertThat(read()).isEmpty();
  }

  @Test
  void whereNothingCanBeWrittenNothingIsKeptAndNothingBreaks() throws IOException {
    Path blocked = folder.resolve("blocked");
    Files.createDirectories(blocked);
    Files.writeString(blocked.resolve(".kelvo"), "a file where a folder should be");

    new Columns(blocked).keep("daily", sources(), made());

    assertThat(new Columns(blocked).<Read>find("daily", sources(), file -> null)).isEmpty();
  }

  @Test
  void whoIsStoppedKeepsAndFindsNothing() throws IOException {
    columns.keep("daily", sources(), made());
    try {
      Thread.currentThread().interrupt();
      assertThatThrownBy(() -> columns.find("daily", sources(), file -> file))
          .isInstanceOf(CancellationException.class);
      assertThatThrownBy(() -> columns.keep("minutes", sources(), made()))
          .isInstanceOf(CancellationException.class);
    } finally {
      assertThat(Thread.interrupted()).isTrue();
    }

    try (Stream<Path> files = Files.list(file().getParent())) {
      assertThat(files).containsExactly(file());
    }
    assertThat(read()).isPresent();
  }

  @Test
  void columnsOfWhichNoneHoldsAnythingAreKeptToo() {
    columns.keep(
        "earlier/2031-03-12",
        sources(),
        new NewColumns().with("nothing", List.of()).with("nor here", List.of()));

    assertThat(
            columns.find(
                "earlier/2031-03-12", sources(), found -> found.column("nothing").byteSize()))
        .contains(0L);
  }
}
