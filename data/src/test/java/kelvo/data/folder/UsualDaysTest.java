package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Map;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.columns.Columns;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import kelvo.history.UsualDay;
import kelvo.job.Progress;
import kelvo.time.DayTime;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class UsualDaysTest {
  private static final LocalDate SESSION = LocalDate.of(2031, 3, 12);
  private static final String HEADER = "symbol,time,open,high,low,close,volume,trades\n";

  private static final UsualDays.Adjustment AS_IT_IS =
      new UsualDays.Adjustment(security -> null, (symbol, date) -> 1);

  @TempDir Path folder;
  @TempDir Path other;
  private final ExchangeCalendar calendar = new ExchangeCalendar();
  private final Faults faults = new Faults();

  /** Twelve sessions: 600 shares in the minute of 09:30 and, every other day, 300 at 09:33. */
  @BeforeEach
  void twelveSessions() throws IOException {
    Files.createDirectories(folder.resolve("minutes"));
    LocalDate date = SESSION.minusDays(1);
    for (int written = 0; written < 12; date = date.minusDays(1)) {
      if (calendar.hours(date).close() > 0 && date.getDayOfWeek().getValue() < 6) {
        String second = written++ % 2 == 0 ? "TIDARC,09:33:00,8,8,8,8,300,3\n" : "";
        Files.writeString(
            folder.resolve("minutes/" + date + ".csv"),
            HEADER + "TIDARC,09:30:00,8,8,8,8,600,9\n" + second);
      }
    }
  }

  private UsualDays.Activity activity(Path root, Map<String, Integer> numbers) {
    KeptColumns kept = new KeptColumns(new Columns(root), faults, false);
    return new UsualDays(calendar, numbers, AS_IT_IS)
        .activityBefore(SESSION, new MinuteFiles(root, kept));
  }

  private UsualDay read() {
    return activity(folder, Map.of("TIDARC", 0, "GLASBX", 1)).volume();
  }

  private UsualDay trades() {
    return activity(folder, Map.of("TIDARC", 0)).trades();
  }

  @Test
  void printsAreCountedToo() {
    assertThat(trades().meanOf(DayTime.MINUTE, 0, DayTime.of(9, 31))).isEqualTo(9);
    assertThat(trades().meanUpTo(0, DayTime.of(16, 0))).isEqualTo(10.5);
  }

  @Test
  void withoutACountOfPrintsInEveryFileNothingIsKnownOfThem() throws IOException {
    Files.writeString(
        folder.resolve("minutes/2031-03-11.csv"),
        "symbol,time,open,high,low,close,volume\nTIDARC,09:30:00,8,8,8,8,600\n");

    assertThat(trades().meanUpTo(0, DayTime.of(16, 0))).isNaN();
    assertThat(read().meanUpTo(0, DayTime.of(9, 31))).isEqualTo(600);
    assertThat(faults.all()).isEmpty();
  }

  @Test
  void meansAreInterpolatedAndSilenceIsZero() {
    UsualDay history = read();

    assertThat(history.meanUpTo(0, DayTime.of(9, 30))).isZero();
    assertThat(history.meanUpTo(0, DayTime.of(9, 30) + 30 * DayTime.SECOND)).isEqualTo(300);
    assertThat(history.meanUpTo(0, DayTime.of(9, 31))).isEqualTo(600);
    assertThat(history.meanUpTo(0, DayTime.of(16, 0))).isEqualTo(750);
    assertThat(history.meanOf(5 * DayTime.MINUTE, 0, DayTime.of(9, 36))).isEqualTo(150);
    assertThat(history.meanUpTo(1, DayTime.of(16, 0))).as("never traded").isZero();
    assertThat(faults.all()).isEmpty();
  }

  @Test
  void parquetSaysTheSame() throws IOException {
    double before = read().meanUpTo(0, DayTime.of(12, 0));
    TableConversion conversion = new TableConversion();
    conversion.convert(folder, other.resolve("parquet"), Progress.NONE);
    UsualDay fromParquet = activity(other.resolve("parquet"), Map.of("TIDARC", 0)).volume();

    assertThat(conversion.faults().all()).isEmpty();
    assertThat(fromParquet.meanUpTo(0, DayTime.of(12, 0))).isEqualTo(before);
  }

  @Test
  void wrongRowsAreReportedAndTheRestCounts() throws IOException {
    Path day = folder.resolve("minutes/2031-03-11.csv");
    Files.writeString(day, Files.readString(day) + "TIDARC,noon,8,8,8,8,1,1\nTIDARC,10:00,8,8\n");

    assertThat(read().meanUpTo(0, DayTime.of(9, 31))).isEqualTo(600);
    assertThat(faults.all()).extracting(Fault::line).containsExactly(4L, 5L);
  }

  @Test
  void nineSessionsAreTooFew() throws IOException {
    for (int day = 7; day <= 11; day++) {
      Files.deleteIfExists(
          folder.resolve("minutes/2031-03-" + (day < 10 ? "0" : "") + day + ".csv"));
    }

    assertThat(read().meanUpTo(0, DayTime.of(16, 0))).isNaN();
  }
}
