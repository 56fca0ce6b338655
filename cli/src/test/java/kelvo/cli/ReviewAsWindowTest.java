package kelvo.cli;

import static org.assertj.core.api.Assertions.assertThat;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import kelvo.data.report.ReviewTables;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.hit.Hit;
import kelvo.job.Progress;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.review.DayReview;
import kelvo.scan.Scan;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The command's review is the window's, with levels, and with fills that only the ledger has. */
class ReviewAsWindowTest {
  private static final LocalDate DATE = DemoSize.SESSION;
  private static final String LEVELS = "Levels passed";

  @TempDir Path folder;
  @TempDir Path out;

  private OpenedDay open() {
    OpenedDay day = OpenedDay.open(folder, DATE, Progress.NONE);
    day.market().run().playToEnd(Progress.NONE);
    return day;
  }

  private static void close(OpenedDay day) {
    assertThat(day.connections().ledger().finish()).isEmpty();
    day.connections().release();
  }

  /** A day on which a level was set by hand, a scan waits for it, and a broker told one fill. */
  @BeforeEach
  void tradeADay() {
    DemoFolder.write(folder, new DemoSize(60, 30, 6_000, DATE), DemoFolder.SEED, Progress.NONE);
    OpenedDay day = open();
    List<Long> prices =
        day.market().run().hits().stream()
            .filter(hit -> hit.symbol().equals("TIDARC"))
            .map(Hit::price)
            .sorted()
            .toList();
    long middle = prices.get(prices.size() / 2);
    day.connections()
        .ledger()
        .add(DATE, Level.standing("TIDARC", middle, LevelKind.BY_HAND, DayTime.of(7, 0)));
    Scan any =
        day.files().scans().inUse().stream()
            .max(Comparator.comparingLong(scan -> scan.to() - scan.from()))
            .orElseThrow();
    day.files()
        .folder()
        .save(
            any.named(LEVELS)
                .withRules(List.of())
                .withTriggers(List.of(Trigger.RISES_THROUGH_LEVEL)));
    Fill known = day.book().fills().getFirst();
    day.connections()
        .ledger()
        .addFills(
            DATE,
            List.of(
                fill(known, DayTime.of(10, 0), "told by the broker, 1", FillSide.BUY),
                fill(known, DayTime.of(10, 20), "told by the broker, 2", FillSide.SELL)));
    close(day);
  }

  private static Fill fill(Fill like, long at, String order, FillSide side) {
    return new Fill(
        at,
        "GENSED",
        side,
        new BigDecimal(100),
        new BigDecimal("12.5"),
        like.fee(),
        like.account(),
        order);
  }

  private List<List<String>> written(String file) throws IOException {
    try (CsvReader<CsvRecord> rows = CsvReader.builder().ofCsvRecord(out.resolve(file))) {
      return rows.stream().skip(1).map(CsvRecord::getFields).toList();
    }
  }

  @Test
  void theCommandsReviewIsTheWindows() throws IOException {
    OpenedDay day = open();
    DayReview review =
        DayReview.of(
            day.session(),
            day.files().scans().inUse(),
            day.market().run().hits(),
            day.book(),
            day.files().settings().review(),
            DayTime.LAST);
    assertThat(day.market().run().hits()).anyMatch(hit -> hit.scan().equals(LEVELS));
    assertThat(day.book().fills()).anyMatch(fill -> fill.orderId().contains("told by the broker"));
    close(day);

    PrintStream quiet = new PrintStream(new ByteArrayOutputStream(), true, StandardCharsets.UTF_8);
    int code =
        Kelvo.run(new Terminal(quiet, quiet), "review", folder.toString(), "--out", out.toString());

    assertThat(code).isZero();
    assertThat(written("trades.csv"))
        .isEqualTo(ReviewTables.trades(review, DemoSize.SESSION))
        .hasSizeGreaterThan(4);
    assertThat(written("moves.csv")).isEqualTo(ReviewTables.moves(review)).isNotEmpty();
    assertThat(written("scans.csv"))
        .isEqualTo(ReviewTables.scans(review))
        .anyMatch(row -> row.contains(LEVELS));
  }
}
