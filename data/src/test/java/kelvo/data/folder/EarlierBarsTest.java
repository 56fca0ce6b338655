package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.columns.Columns;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import kelvo.job.Progress;
import kelvo.session.ReferenceLevel;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The VWAP of earlier days, worked by hand. */
class EarlierBarsTest {
  private static final LocalDate SESSION = LocalDate.of(2031, 3, 12);
  private static final String HEADER = "symbol,time,open,high,low,close,volume,trades\n";

  @TempDir Path folder;
  @TempDir Path other;
  private final Faults faults = new Faults();

  private void day(String date, String rows) throws IOException {
    Files.createDirectories(folder.resolve("minutes"));
    Files.writeString(folder.resolve("minutes/" + date + ".csv"), HEADER + rows);
  }

  private List<ReferenceLevel> levels(Path root, double ratio) {
    KeptColumns kept = new KeptColumns(new Columns(root), faults, false);
    return new EarlierBars(
            new ExchangeCalendar(),
            Map.of("TIDARC", 0),
            new MinuteFiles(root, kept),
            SESSION,
            (symbol, date) -> ratio)
        .vwaps()
        .getOrDefault(0, List.of());
  }

  /** (9 x 100 + 12 x 300) / 400 = 11.25; what was traded outside regular hours does not count. */
  @Test
  void eachMinuteWeighsByItsVolumeInRegularHoursOnly() throws IOException {
    day(
        "2031-03-11",
        "TIDARC,09:29:00,5,5,5,5,9000,1\nTIDARC,09:30:00,8,10,8,9,100,1\n"
            + "TIDARC,15:59:00,12,12,12,12,300,1\nTIDARC,16:00:00,50,50,50,50,9000,1\n");

    assertThat(levels(folder, 1)).containsExactly(new ReferenceLevel(112_500, "VWAP of 03-11"));
    new TableConversion().convert(folder, other.resolve("parquet"), Progress.NONE);
    assertThat(levels(other.resolve("parquet"), 1)).isEqualTo(levels(folder, 1));
  }

  @Test
  void theNewestThreeFullSessionsCountAndASplitSinceIsMadeUpFor() throws IOException {
    for (String date :
        List.of("2031-03-11", "2031-03-10", "2031-03-08", "2031-03-07", "2031-03-06")) {
      day(date, "TIDARC,10:00:00,8,8,8,8,100,1\n");
    }

    assertThat(levels(folder, 0.1))
        .containsExactly(
            new ReferenceLevel(800_000, "VWAP of 03-11"),
            new ReferenceLevel(800_000, "VWAP of 03-10"),
            new ReferenceLevel(800_000, "VWAP of 03-07"));
  }

  @Test
  void aWrongRowIsReportedByItsLineAndTheRestCounts() throws IOException {
    day("2031-03-11", "TIDARC,10:00:00,8,8,8,8,100,1\nTIDARC,10:01:00,8,high,8,8,900,1\n");

    assertThat(levels(folder, 1)).containsExactly(new ReferenceLevel(80_000, "VWAP of 03-11"));
    assertThat(faults.all()).extracting(Fault::line).containsExactly(3L);
  }

  @Test
  void aFileThatIsNoTableIsReportedAndTheOthersCount() throws IOException {
    day("2031-03-11", "TIDARC,10:00:00,8,8,8,8,100,1\n");
    Files.writeString(folder.resolve("minutes/2031-03-10.csv"), "when,what\n1,2\n");

    assertThat(levels(folder, 1)).hasSize(1);
    assertThat(faults.all()).hasSize(1);
  }
}
