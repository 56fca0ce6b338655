package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CancellationException;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.job.Progress;
import kelvo.replay.TapeReplay;
import kelvo.session.EarlierSessions;
import kelvo.session.Session;
import kelvo.time.DayTime;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The sessions before a demo's day, written beside the day. */
class DemoHistoryTest {
  private static final DemoSize SIZE =
      new DemoSize(60, 30, 6_000, DemoSize.SESSION).withRecord(3).withBars(4);
  private static final ExchangeCalendar CALENDAR = new ExchangeCalendar();

  @TempDir static Path whole;
  @TempDir static Path day;
  @TempDir Path folder;

  @BeforeAll
  static void writeAll() {
    DemoFolder.write(whole, SIZE, DemoFolder.SEED, Progress.NONE);
    DemoFolder.writeDay(day, SIZE, DemoFolder.SEED, Progress.NONE);
  }

  @BeforeEach
  void copyTheDay() throws IOException {
    for (Path file : files(day)) {
      Files.createDirectories(folder.resolve(file).getParent());
      Files.copy(day.resolve(file), folder.resolve(file));
    }
  }

  private void writeHistory(Progress progress) {
    DemoHistory.write(folder, SIZE, DemoFolder.SEED, CALENDAR, progress);
  }

  private boolean isThere() {
    return DemoHistory.isThere(folder, SIZE, CALENDAR);
  }

  private static Set<Path> files(Path root) throws IOException {
    try (Stream<Path> walk = Files.walk(root)) {
      return walk.filter(Files::isRegularFile)
          .map(root::relativize)
          .filter(file -> !file.startsWith(".kelvo/columns"))
          .collect(Collectors.toCollection(TreeSet::new));
    }
  }

  private void assertThatAllIsThere() throws IOException {
    assertThat(isThere()).isTrue();
    Set<Path> expected = files(whole);
    assertThat(files(folder)).isEqualTo(expected);
    for (Path file : expected) {
      assertThat(Files.mismatch(folder.resolve(file), whole.resolve(file)))
          .as(file.toString())
          .isEqualTo(-1);
    }
  }

  /** What is known of every security at a quarter to ten. */
  private List<Double> numbers() {
    Session session = new DataFolder(folder, CALENDAR).session(SIZE.session(), Progress.NONE);
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(DayTime.of(9, 45));
    List<Double> numbers = new ArrayList<>();
    for (Field field : FieldCatalogue.usual()) {
      if (field instanceof Field.Number number) {
        var values = number.bind(session);
        for (int i = 0; i < session.securities().size(); i++) {
          numbers.add(values.at(replay.state(i), replay.clock()));
        }
      }
    }
    return numbers;
  }

  @Tag("proof")
  @Test
  void theDayIsTheSameWithoutItAndWithIt() throws IOException {
    DataFolder alone = new DataFolder(folder, CALENDAR);
    List<Double> before = numbers();
    assertThat(isThere()).isFalse();
    assertThat(alone.sessionDates()).containsExactly(SIZE.session());
    assertThat(alone.barDates()).isEmpty();
    assertThat(alone.fillsBefore(SIZE.session())).hasSize(3);

    writeHistory(Progress.NONE);

    assertThatAllIsThere();
    assertThat(alone.sessionDates()).hasSize(4).endsWith(SIZE.session());
    assertThat(alone.barDates()).hasSize(4);
    assertThat(numbers()).hasSizeGreaterThan(5_000).isEqualTo(before);
    assertThat(alone.faults()).isEmpty();
  }

  @Tag("proof")
  @Test
  void whoAskedForTheSessionsBeforeSeesThemCome() {
    EarlierSessions earlier = new DataFolder(folder, CALENDAR).sessionsBefore(SIZE.session());
    assertThat(earlier.dates()).isEmpty();

    writeHistory(Progress.NONE);

    assertThat(earlier.dates())
        .containsExactly(
            LocalDate.of(2031, 3, 11), LocalDate.of(2031, 3, 10), LocalDate.of(2031, 3, 7));
  }

  @Tag("proof")
  @Test
  void stoppedItGoesOnWithWhatIsMissing() throws IOException {
    assertThatThrownBy(
            () ->
                writeHistory(
                    part -> {
                      if (part > 0.2) {
                        throw new CancellationException();
                      }
                    }))
        .isInstanceOf(CancellationException.class);
    DataFolder stopped = new DataFolder(folder, CALENDAR);
    assertThat(isThere()).isFalse();
    // The newest come first, and each is whole.
    assertThat(stopped.sessionDates()).contains(LocalDate.of(2031, 3, 11));
    for (LocalDate date : stopped.sessionDates()) {
      stopped.session(date, Progress.NONE);
    }
    assertThat(stopped.faults()).isEmpty();

    writeHistory(Progress.NONE);

    assertThatAllIsThere();
  }

  @Test
  void halfASessionThatAKilledProcessLeftIsNoSession() throws IOException {
    Path left = folder.resolve(".kelvo/unfinished/2031-03-11");
    Files.createDirectories(left);
    Files.writeString(left.resolve("trades.csv.zst"), "half");
    Files.writeString(left.resolve("other.csv"), "half");
    assertThat(new DataFolder(folder, CALENDAR).sessionDates()).containsExactly(SIZE.session());

    writeHistory(Progress.NONE);

    assertThatAllIsThere();
  }

  @Tag("proof")
  @Test
  void aDiskThatRefusesIsToldAndNothingOfASessionIsThere() throws IOException {
    Files.createDirectories(folder.resolve(".kelvo"));
    Files.createFile(folder.resolve(".kelvo/unfinished"));

    assertThatThrownBy(() -> writeHistory(Progress.NONE))
        .isInstanceOf(UncheckedIOException.class)
        .hasMessageContaining("unfinished");
    assertThat(new DataFolder(folder, CALENDAR).sessionDates()).containsExactly(SIZE.session());
  }

  @Tag("proof")
  @Test
  void whatAnOlderVersionHasWrittenIsWrittenAgain() throws IOException {
    writeHistory(Progress.NONE);
    Path trades = folder.resolve("sessions/2031-03-11/trades.csv.zst");
    Files.writeString(trades, "older");
    LocalDate ofBars = new DataFolder(folder, CALENDAR).barDates().getFirst();
    Path minutes = folder.resolve("minutes");
    Files.delete(minutes.resolve(ofBars + ".csv.zst"));
    Files.writeString(minutes.resolve(ofBars + ".parquet"), "older");

    DemoFolder.writeDay(folder, SIZE, DemoFolder.SEED, Progress.NONE);
    assertThat(isThere()).isFalse();
    writeHistory(Progress.NONE);

    assertThatAllIsThere();
  }

  @Tag("proof")
  @Test
  void aDayThatWasCancelledIsWrittenAgainAtOnce() throws IOException {
    for (double end : new double[] {0.1, 0.5, 0.7}) {
      assertThatThrownBy(
              () ->
                  DemoFolder.writeDay(
                      folder,
                      SIZE,
                      DemoFolder.SEED,
                      part -> {
                        if (part >= end) {
                          throw new CancellationException();
                        }
                      }))
          .isInstanceOf(CancellationException.class);
    }

    DemoFolder.writeDay(folder, SIZE, DemoFolder.SEED, Progress.NONE);

    for (Path file : files(day)) {
      assertThat(Files.mismatch(folder.resolve(file), day.resolve(file)))
          .as(file.toString())
          .isEqualTo(-1);
    }
  }

  @Tag("proof")
  @Test
  void whatCannotBeWrittenIsToldWhicheverThreadWritesIt() throws IOException {
    for (String file : List.of("daily.csv.zst", "sessions/2031-03-12/quotes.csv.zst")) {
      Files.delete(folder.resolve(file));
      Files.createDirectory(folder.resolve(file));

      assertThatThrownBy(() -> DemoFolder.writeDay(folder, SIZE, DemoFolder.SEED, Progress.NONE))
          .isInstanceOf(UncheckedIOException.class)
          .hasMessageContaining(file.substring(file.lastIndexOf('/') + 1));

      Files.delete(folder.resolve(file));
      Files.createFile(folder.resolve(file));
    }
  }
}
