package kelvo.cli;

import static org.assertj.core.api.Assertions.assertThat;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.ledger.Ledger;
import kelvo.data.past.PastSessions;
import kelvo.data.past.WantedHits;
import kelvo.data.report.ReviewTables;
import kelvo.data.report.TrackRecordTables;
import kelvo.data.scanfile.ScanFile;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.job.Progress;
import kelvo.review.DayReview;
import kelvo.review.DecisionReview;
import kelvo.review.ReviewSettings;
import kelvo.review.ReviewedTrade;
import kelvo.review.ScanTotals;
import kelvo.review.TradeGrouping;
import kelvo.review.TradeVerdict;
import kelvo.review.WhatIf;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.scan.Scan;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.sim.DemoTrader;
import kelvo.time.DayTime;
import kelvo.trackrecord.PastReview;
import kelvo.trackrecord.ResultRange;
import kelvo.trackrecord.TrackRecord;
import kelvo.trade.Fill;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/**
 * Twenty sessions of the demo's trader, and the one of the demo: what the window makes of them,
 * what the commands print, and whether the trader's habits come to light.
 */
@Tag("proof")
class TrackRecordOfDemoTest {
  private static final DemoSize SIZE =
      new DemoSize(900, 60, 60_000, DemoSize.SESSION).withRecord(DemoSize.RECORD);

  @TempDir static Path folder;
  @TempDir static Path out;
  private static TrackRecord record;
  private static WhatIf looser;
  private static WhatIf notWaiting;
  private static Path looserFile;

  /** As the window does it: earlier sessions from their ends, the one that is open as it is. */
  @BeforeAll
  @Timeout(value = 5, unit = TimeUnit.MINUTES)
  static void review() throws IOException {
    DemoFolder.write(folder, SIZE, DemoFolder.SEED, Progress.NONE);
    try (Ledger ledger = Ledger.open(folder.resolve(OpenedDay.LEDGER))) {
      DemoTrader.prepareRecord(ledger, SIZE, new DataFolder(folder, new ExchangeCalendar()));
      DemoTrader.prepare(ledger, DemoSize.SESSION);
      assertThat(ledger.awaitSaved()).isTrue();
    }
    OpenedDay day = OpenedDay.open(folder, DemoSize.SESSION, Progress.NONE);
    day.market().run().playToEnd(Progress.NONE);
    PastSessions past =
        new PastSessions(folder, day.connections().ledger(), day.files().vocabulary());
    ReviewSettings settings = day.files().settings().review();
    List<PastReview> reviews =
        new ArrayList<>(
            past.reviews(
                day.market().earlier().dates(),
                new WantedHits(
                    day.files().scans().inUse(),
                    day.files().lists().watchlists(),
                    day.files().lists().alerts()),
                settings,
                one -> {},
                Progress.NONE));
    DayReview now =
        DayReview.of(
            day.session(),
            day.files().scans().inUse(),
            day.market().run().hits(),
            day.book(),
            settings,
            DayTime.LAST);
    reviews.add(
        new PastReview(
            DemoSize.SESSION,
            now,
            DecisionReview.of(day.session(), day.book(), day.files().lists().watchlists(), now),
            day.book().page()));
    record = TrackRecord.of(reviews);
    whatIf(day, past, settings);
    assertThat(day.connections().ledger().finish()).isEmpty();
    day.connections().release();
  }

  /** The scan that finds the late ones, with a rule less. */
  private static void whatIf(OpenedDay day, PastSessions past, ReviewSettings settings)
      throws IOException {
    Scan stairs =
        day.files().scans().inUse().stream()
            .filter(s -> s.name().equals("Thin stairs"))
            .findFirst()
            .orElseThrow();
    Scan changed =
        stairs.withRules(
            stairs.rules().stream()
                .filter(rule -> !rule.sentence().startsWith("volume 5m"))
                .toList());
    looser =
        WhatIf.together(past.whatIfs(past.recorded(), stairs, changed, settings, Progress.NONE));
    List<Rule> waiting = new ArrayList<>(stairs.rules());
    waiting.add(RuleSentence.parse("volume at least 200K", day.files().vocabulary()));
    notWaiting =
        WhatIf.together(
            past.whatIfs(
                past.recorded(), stairs.withRules(waiting), stairs, settings, Progress.NONE));
    looserFile = out.resolve("looser.json");
    Files.writeString(looserFile, ScanFile.write(changed));
  }

  private static ResultRange group(TradeGrouping grouping, String name) {
    return ResultRange.of(record, grouping).stream()
        .filter(range -> range.group().name().startsWith(name))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void allOfItIsThere() {
    assertThat(record.sessions()).hasSize(DemoSize.RECORD + 1);
    assertThat(record.trades()).hasSizeGreaterThan(60);
    assertThat(record.moves()).hasSizeGreaterThan(1_000);
  }

  @Test
  void theTraderIsLateOnThinRunnersAndPaysForIt() {
    ResultRange thin = group(TradeGrouping.SCAN, "Thin stairs");

    assertThat(thin.trades()).hasSizeGreaterThan(12);
    assertThat(thin.trades())
        .filteredOn(trade -> trade.verdict() == TradeVerdict.LATE)
        .hasSizeGreaterThan(thin.trades().size() * 9 / 10 - 1);
    assertThat(thin.group().medianLateness()).isGreaterThan(10 * DayTime.MINUTE);
    assertThat(thin.result().high()).as("chance included").isNegative();
  }

  @Test
  void whatIsPlannedPays() {
    assertThat(group(TradeGrouping.PLANNED, "on the Ten").result().low()).isPositive();
  }

  @Test
  void afternoonsOffPlanCost() {
    ResultRange offPlan = group(TradeGrouping.VERDICT, TradeVerdict.OFF_PLAN.words());

    assertThat(offPlan.result().high()).as("chance included").isNegative();
    assertThat(offPlan.trades())
        .filteredOn(trade -> trade.trade().entryAt() >= DayTime.of(13, 0))
        .hasSizeGreaterThan(10);
    assertThat(group(TradeGrouping.TAG, "bored").group().totals().wins()).isZero();
  }

  @Test
  void oneScanIsOnlyNoise() {
    ScanTotals noise = scan("Midday pokes");

    assertThat(noise.hitsPerHour()).isGreaterThan(5);
    assertThat(noise.known()).isGreaterThan(100);
    assertThat(noise.interval().high()).isLessThan(scan("Morning gaps").interval().low());
    assertThat(noise.interval().high()).isLessThan(scan("Morning risers").interval().low());
    assertThat(noise.net()).isLessThanOrEqualTo(0);
  }

  private static ScanTotals scan(String name) {
    return record.scans().stream()
        .filter(scan -> scan.scan().equals(name))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void oneAlertPays() {
    ResultRange alert = group(TradeGrouping.ALERT, "everything: rises through previous close");

    assertThat(alert.trades()).hasSizeGreaterThan(12);
    assertThat(alert.result().low()).as("chance included").isPositive();
  }

  @Test
  void aLooserRuleFindsTheLateOnesEarlierAndTheTradesWouldHaveBroughtMoreAtTheHit() {
    assertThat(looser.sessions()).isEqualTo(DemoSize.RECORD + 1);
    assertThat(looser.of(WhatIf.Kind.EARLIER)).isNotEmpty();
    assertThat(looser.medianEarlier().orElseThrow()).isPositive();
    assertThat(looser.lines().getFirst().atTheHit()).isGreaterThan(1_000);
  }

  /** A scan that waits for volume finds the runners when the trader does: late. */
  @Test
  void withoutARuleThatWaitsTheLateTradesHaveTheirHitsEarlier() {
    List<WhatIf.Change> late =
        notWaiting.changes().stream()
            .filter(change -> change.before() != null)
            .filter(
                change ->
                    change.before().trades().stream()
                        .anyMatch(trade -> trade.verdict() == TradeVerdict.LATE))
            .toList();

    assertThat(late)
        .filteredOn(change -> change.kind() == WhatIf.Kind.EARLIER)
        .hasSizeGreaterThan(late.size() / 2)
        .allMatch(change -> change.earlierBy() > 5 * DayTime.MINUTE);
    assertThat(notWaiting.lines().get(1).atTheHit())
        .isGreaterThan(notWaiting.lines().getFirst().atTheHit());
  }

  @Test
  void resultsReconcileToTheCentWithAllFills() {
    List<Fill> fills =
        new DataFolder(folder, new ExchangeCalendar())
            .ownFills().values().stream().flatMap(List::stream).toList();
    BigDecimal cash =
        sum(
            fills.stream()
                .map(
                    f ->
                        f.quantity()
                            .multiply(f.price())
                            .multiply(BigDecimal.valueOf(-f.side().sign()))
                            .subtract(f.fee())));

    assertThat(sum(record.trades().stream().map(trade -> trade.trade().result())))
        .isEqualByComparingTo(cash);
    assertThat(record.trades().stream().mapToInt(trade -> trade.trade().fills().size()).sum())
        .isEqualTo(fills.size());
  }

  private static BigDecimal sum(Stream<BigDecimal> numbers) {
    return numbers.reduce(BigDecimal.ZERO, BigDecimal::add);
  }

  @Test
  void theCommandsNumbersAreTheWindows() throws IOException {
    run("trackrecord", folder.toString(), "--by", "alert", "--out", out.toString());

    assertThat(written("sessions.csv")).isEqualTo(TrackRecordTables.sessions(record));
    assertThat(written("trades.csv")).isEqualTo(TrackRecordTables.trades(record));
    assertThat(written("scans.csv")).isEqualTo(ReviewTables.scans(record.scans()));
    assertThat(written("groups.csv"))
        .isEqualTo(TrackRecordTables.groups(record, TradeGrouping.ALERT));
    assertThat(written("equity.csv")).isEqualTo(TrackRecordTables.equity(record));
  }

  @Test
  void theCommandsWhatIfIsTheWindows() {
    String told = run("whatif", folder.toString(), "--scan", looserFile.toString());

    assertThat(told).contains(looser.words());
    for (WhatIf.Line line : looser.lines()) {
      assertThat(told)
          .contains(
              "Thin stairs,%s,%d,%d,%d,%d,"
                  .formatted(
                      line.name(),
                      line.totals().hits(),
                      line.totals().moves(),
                      line.totals().ran(),
                      line.totals().known()));
    }
  }

  @Test
  void aReportShowsEachTradeOfItsSessions() throws IOException {
    LocalDate newest = DemoSize.SESSION;
    List<ReviewedTrade> trades =
        record.trades().stream().filter(t -> t.context().date().equals(newest)).toList();
    Path html = out.resolve("report.html");
    Path pdf = out.resolve("report.pdf");
    run("report", folder.toString(), "--last", "1", "--out", html.toString());
    run("report", folder.toString(), "--last", "1", "--out", pdf.toString());

    String page = Files.readString(html);
    assertThat(page.split("data:image/png", -1)).hasSize(trades.size() + 1);
    try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
      String text = new PDFTextStripper().getText(document);
      for (ReviewedTrade trade : trades) {
        String head = trade.trade().symbol() + " " + trade.trade().side().word() + ", ";
        assertThat(page).contains(head);
        assertThat(text).contains(head);
      }
      assertThat(text).contains("Kelvo: " + newest);
    }
  }

  @Test
  void theLedgerGoesIntoAnArchiveAndBack(@TempDir Path other) throws IOException {
    Path zip = out.resolve("ledger.zip");
    Path again = out.resolve("again.zip");
    run("ledger", folder.toString(), "--to", zip.toString());
    run("ledger", other.toString(), "--from", zip.toString());
    run("ledger", other.toString(), "--to", again.toString());

    try (Ledger was = Ledger.readOnly(folder.resolve(OpenedDay.LEDGER));
        Ledger is = Ledger.readOnly(other.resolve(OpenedDay.LEDGER))) {
      for (PastReview session : record.sessions()) {
        assertThat(is.day(session.date())).isEqualTo(was.day(session.date()));
      }
    }
    assertThat(Files.size(again)).isEqualTo(Files.size(zip));
  }

  /** What a command prints; it must be done without a fault. */
  private static String run(String... arguments) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    PrintStream told = new PrintStream(bytes, true, StandardCharsets.UTF_8);
    assertThat(Kelvo.run(new Terminal(told, told), arguments))
        .as(bytes.toString(StandardCharsets.UTF_8))
        .isZero();
    return bytes.toString(StandardCharsets.UTF_8);
  }

  private static List<List<String>> written(String file) throws IOException {
    try (CsvReader<CsvRecord> rows = CsvReader.builder().ofCsvRecord(out.resolve(file))) {
      return rows.stream().skip(1).map(CsvRecord::getFields).toList();
    }
  }
}
