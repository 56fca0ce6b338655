package kelvo.cli;

import static org.assertj.core.api.Assertions.assertThat;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.Collectors;
import kelvo.data.report.ReviewTables;
import kelvo.refusal.RefusedException;
import kelvo.research.Held;
import kelvo.sim.SmallDemo;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CommandsTest {
  @TempDir static Path folder;

  private final ByteArrayOutputStream printed = new ByteArrayOutputStream();
  private final ByteArrayOutputStream told = new ByteArrayOutputStream();

  @BeforeAll
  static void demo() {
    SmallDemo.copyTo(folder);
  }

  private final Terminal terminal =
      new Terminal(
          new PrintStream(printed, true, StandardCharsets.UTF_8),
          new PrintStream(told, true, StandardCharsets.UTF_8));

  private int run(String... args) {
    return Kelvo.run(terminal, args);
  }

  private List<NamedCsvRecord> rows() {
    return CsvReader.builder().ofNamedCsvRecord(printed.toString(StandardCharsets.UTF_8)).stream()
        .toList();
  }

  private static String scan(String file) {
    return folder.resolve("scans/" + file).toString();
  }

  @Test
  void aServedSessionIsRecordedAndReadBack(@TempDir Path recorded)
      throws ExecutionException, IOException, InterruptedException, TimeoutException {
    Files.copy(folder.resolve("securities.csv"), recorded.resolve("securities.csv"));
    SimCommand sim = new SimCommand(terminal);
    sim.folder = folder;
    sim.speed = 0;
    sim.port = 0;
    sim.newsPort = 0;
    sim.fixPort = 0;
    Thread server =
        Thread.ofVirtual()
            .start(
                () -> {
                  try {
                    sim.call();
                  } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                  } catch (IOException | RuntimeException e) {
                    sim.serving.completeExceptionally(e);
                  }
                });
    int code =
        run(
            "record",
            "ws://localhost:" + sim.serving.get(60, TimeUnit.SECONDS),
            "--data",
            recorded.toString(),
            "--date",
            "2031-03-12",
            "--frames",
            "500");
    sim.end.countDown();
    server.join();

    assertThat(code).isZero();
    assertThat(told.toString(StandardCharsets.UTF_8)).contains("Recorded up to frame");
    assertThat(recorded.resolve(".kelvo/columns/sessions/2031-03-12.columns")).isNotEmptyFile();
    assertThat(run("check", recorded.toString())).isZero();
    assertThat(recorded.resolve("sessions/2031-03-12/trades.csv")).content().contains("extended");
  }

  @Tag("proof")
  @Test
  void aSessionIsConvertedToParquetAndGivesTheSameMatches(@TempDir Path out) {
    Path converted = out.resolve("parquet");
    assertThat(run("convert", folder.toString(), converted.toString())).isZero();
    String[] call = {
      "matches", "", "--scan", scan("01-morning-gaps.json"), "--date", "2031-03-12", "--at", "09:00"
    };
    call[1] = folder.toString();
    assertThat(run(call)).isZero();
    String fromCsv = printed.toString(StandardCharsets.UTF_8);
    printed.reset();
    call[1] = converted.toString();
    assertThat(run(call)).isZero();

    assertThat(converted.resolve("sessions/2031-03-12/trades.parquet")).exists();
    assertThat(printed.toString(StandardCharsets.UTF_8)).isEqualTo(fromCsv);
    assertThat(fromCsv.lines().count()).isGreaterThan(3);
  }

  @Test
  void checkFindsNothingWrongWithTheDemo() {
    assertThat(run("check", folder.toString())).isZero();
    assertThat(told.toString(StandardCharsets.UTF_8)).contains("No problems found.");
  }

  @Test
  void checkPrintsEveryProblemAndExitsWithOne(@TempDir Path bad) throws IOException {
    Files.createDirectories(bad.resolve("sessions/2031-03-12"));
    Files.writeString(
        bad.resolve("securities.csv"),
        "symbol,name,mic,cfi\nTIDARC,Tidal,XNAS,ESVUFR\n,Nobody,XNAS,ESVUFR\n");
    Files.writeString(
        bad.resolve("sessions/2031-03-12/trades.csv"),
        "time,symbol,price,size,conditions\n09:30:00,TIDARC,x,100,regular\n");

    assertThat(run("check", bad.toString())).isEqualTo(1);
    assertThat(printed.toString(StandardCharsets.UTF_8))
        .contains("securities.csv, line 3")
        .contains("trades.csv, line 2, column price");
  }

  /** What is easily overlooked: each is told with its place, and once. */
  @Test
  void checkLooksAtWhatNoSessionAsksFor(@TempDir Path bad) throws IOException {
    Path day = Files.createDirectories(bad.resolve("sessions/2031-03-12"));
    Files.createDirectories(bad.resolve("sessions/2031-02-30"));
    Files.createDirectory(day.resolve("quotes.csv"));
    Files.createSymbolicLink(day.resolve("status.csv"), bad.resolve("nowhere"));
    Files.writeString(day.resolve("mentions.csv"), "");
    Files.writeString(
        bad.resolve("securities.csv"),
        "symbol,name,mic,cfi,float\nTIDARC,Tidal,XNAS,ESVUFR,-5\nKELPOR,Kelpor,XNAS,ESVUFR,NaN\n"
            + "SONWEL,Sonwel,XNAS,ESVUFR,100\n");
    Files.writeString(
        bad.resolve("daily.csv"),
        "symbol,date,open,high,low,close,volume\n"
            + "SONWEL,2031-03-10,1,2,1,2,100\nSONWEL,2031-03-11,1,2,1,2,100\n"
            + "SONWEL,2031-03-10,1,2,1,2,100\n");
    Files.writeString(
        day.resolve("trades.csv"),
        "time,symbol,price,size,conditions,id\n09:30:00,SONWEL,6,100,regular,1\n"
            + "09:31:00,SONWEL,6,100,regular,1\n09:32:00,ORBTOW,6,100,regular,2\n");
    Files.writeString(
        Files.createDirectory(bad.resolve("minutes")).resolve("2031-01-02.csv"),
        "symbol,time,open,high,low,close,volume\nSONWEL,09:30:00,1,1,1,1,1\nSONWEL,x,1,1,1,1,1\n");
    Files.writeString(
        Files.createDirectory(bad.resolve("universes")).resolve("u.json"),
        "{\"kelvo\": 1, \"name\": 7}");
    Files.writeString(bad.resolve("ten.json"), "{\"kelvo\": 1, \"most\": 99}");
    Files.writeString(bad.resolve("questions.json"), "{ half");
    Files.writeString(bad.resolve("fill-columns.json"), "[1]");
    Files.writeString(bad.resolve("windows.json"), "[1]");
    Files.writeString(bad.resolve("window.properties"), "width=\\u12");
    Files.writeString(bad.resolve("webhook.secret"), "\n");
    Files.writeString(bad.resolve("settings.json"), "[]");

    assertThat(run("check", bad.toString())).isEqualTo(1);
    assertThat(printed.toString(StandardCharsets.UTF_8).lines())
        .doesNotHaveDuplicates()
        .allMatch(line -> line.length() <= 200)
        .anyMatch(line -> line.startsWith("sessions/2031-02-30: expected the name of a day"))
        .anyMatch(line -> line.contains("quotes.csv: expected a table, found \"a folder\""))
        .anyMatch(line -> line.contains("status.csv: expected a table, found \"a link that leads"))
        .anyMatch(line -> line.contains("mentions.csv: expected a header with time, symbol, count"))
        .anyMatch(
            line -> line.startsWith("securities.csv, line 2, column float: expected a number, 0"))
        .anyMatch(
            line -> line.startsWith("securities.csv, line 3, column float: expected a number"))
        .anyMatch(line -> line.startsWith("daily.csv, line 4, column date: expected each day of a"))
        .anyMatch(
            line ->
                line.contains(
                    "trades.csv, line 3, column id: expected each print of a security once"))
        .anyMatch(line -> line.contains("trades.csv, line 4, column symbol: expected a symbol of"))
        .anyMatch(
            line -> line.startsWith("minutes/2031-01-02.csv, line 3: expected a symbol, a time"))
        .anyMatch(line -> line.startsWith("u.json, name: expected a text in quotes"))
        .anyMatch(line -> line.startsWith("ten.json, most: expected a whole number"))
        .anyMatch(line -> line.startsWith("questions.json, line 1"))
        .anyMatch(line -> line.startsWith("fill-columns.json: expected an object"))
        .anyMatch(line -> line.startsWith("windows.json: expected the windows of each phase"))
        .anyMatch(line -> line.startsWith("window.properties: expected lines such as"))
        .anyMatch(line -> line.startsWith("webhook.secret: expected a secret"))
        .anyMatch(line -> line.startsWith("settings.json: expected an object"));
  }

  @Test
  void checkFindsThatAFolderIsEmptyOrThatSessionsIsAFile(@TempDir Path bad) throws IOException {
    assertThat(run("check", bad.toString())).isEqualTo(1);
    assertThat(printed.toString(StandardCharsets.UTF_8))
        .contains("securities.csv: expected the list of securities, found \"no such file\"")
        .contains("sessions: expected folders such as 2031-03-12 with trades.csv, found \"none\"");
    printed.reset();
    Files.writeString(bad.resolve("sessions"), "");
    assertThat(run("check", bad.toString())).isEqualTo(1);
    assertThat(printed.toString(StandardCharsets.UTF_8))
        .contains("sessions: expected a folder with a folder a session, found \"something else\"");
  }

  @Test
  void matchesListsTheGapperFirstWithTheScansColumns() {
    assertThat(
            run(
                "matches",
                folder.toString(),
                "--scan",
                scan("01-morning-gaps.json"),
                "--at",
                "08:58"))
        .isZero();
    assertThat(rows().getFirst().getField("symbol")).isEqualTo("TIDARC");
    assertThat(Double.parseDouble(rows().getFirst().getField("gap"))).isBetween(25.0, 40.0);
  }

  @Test
  void aListThatTheLimitCutsSaysHowLongItIs(@TempDir Path other) throws IOException {
    Path scan = other.resolve("all.json");
    Files.writeString(
        scan, "{\"kelvo\":1,\"name\":\"All\",\"rules\":[\"price above 0\"],\"limit\":7}");

    assertThat(run("matches", folder.toString(), "--scan", scan.toString(), "--at", "10:00"))
        .isZero();
    assertThat(rows()).hasSize(7);
    assertThat(told.toString(StandardCharsets.UTF_8))
        .containsPattern("7 of \\d{2,}; the scan's limit is 7\\.");
  }

  @Test
  void explainAnswersRuleByRule() {
    assertThat(
            run(
                "matches",
                folder.toString(),
                "--scan",
                scan("04-thin-stairs.json"),
                "--at",
                "09:41",
                "--explain",
                "KELPOR"))
        .isZero();
    assertThat(rows())
        .hasSize(6)
        .allSatisfy(row -> assertThat(row.getField("passes")).isEqualTo("yes"));
  }

  @Test
  void anEmptyListSaysWhy() {
    assertThat(
            run(
                "matches",
                folder.toString(),
                "--scan",
                scan("01-morning-gaps.json"),
                "--at",
                "12:00"))
        .isZero();
    assertThat(told.toString(StandardCharsets.UTF_8))
        .contains("looks from 04:00 to 09:30; it is 12:00");
  }

  @Test
  void hitsFoldRepeatsAndUnfoldedShowsEach() {
    assertThat(
            run(
                "hits",
                folder.toString(),
                "--scan",
                scan("05-opening-highs.json"),
                "--from",
                "09:30",
                "--to",
                "10:30"))
        .isZero();
    int folded = rows().size();
    int firings = rows().stream().mapToInt(row -> Integer.parseInt(row.getField("count"))).sum();
    printed.reset();
    run(
        "hits",
        folder.toString(),
        "--scan",
        scan("05-opening-highs.json"),
        "--from",
        "09:30",
        "--to",
        "10:30",
        "--unfolded");

    assertThat(rows()).hasSize(firings).hasSizeGreaterThan(folded);
  }

  @Test
  void jsonLinesHaveTheSameRows() {
    run("hits", folder.toString(), "--scan", scan("09-halts.json"), "--json");

    assertThat(printed.toString(StandardCharsets.UTF_8).lines())
        .hasSize(2)
        .allMatch(
            line -> line.startsWith("{\"time\":\"10:4") && line.contains("\"symbol\":\"DENBOT\""));
  }

  @Test
  void reviewWritesItsThreeTables(@TempDir Path tables) throws IOException {
    assertThat(
            run(
                "review",
                folder.toString(),
                "--fills",
                folder.resolve("fills.csv").toString(),
                "--date",
                "2031-03-12",
                "--out",
                tables.toString()))
        .isZero();
    assertThat(Files.readAllLines(tables.resolve("trades.csv")))
        .hasSize(5)
        .first()
        .asString()
        .startsWith("account,symbol,side,entry_time");
    assertThat(Files.readAllLines(tables.resolve("moves.csv")).getFirst())
        .isEqualTo(String.join(",", ReviewTables.MOVE_COLUMNS));
    assertThat(Files.readAllLines(tables.resolve("scans.csv"))).hasSize(16);
  }

  /** Bought the day before, sold today; a sale of what nobody bought; a line that is wrong. */
  @Test
  void reviewTellsWhatIsWrongWithFillsAndKeepsPositionsOverNight(@TempDir Path own)
      throws IOException {
    Path fills = own.resolve("fills.csv");
    Files.writeString(
        fills,
        "time,symbol,side,quantity,price,fee,account\n"
            + "2031-03-11T15:55:00-04:00,TIDARC,buy,100.5,6,0.01234,swing\n"
            + "2031-03-12T10:00:00-04:00,TIDARC,sell,100.5,8,-0.35,swing\n"
            + "2031-03-12T10:01:00-04:00,KELPOR,sell,10,4,0,swing\n"
            + "2031-03-12T10:02:00-04:00,KELPOR,sell,lots,4,0,swing\n");

    assertThat(run("review", folder.toString(), "--fills", fills.toString())).isEqualTo(1);
    assertThat(printed.toString(StandardCharsets.UTF_8).lines().skip(1))
        .singleElement()
        .asString()
        .startsWith("swing,TIDARC,long,2031-03-11T15:55:00.000,6,10:00:00.000,8,100.5,-0.33766,")
        .contains(",201.33766,held overnight,");
    assertThat(told.toString(StandardCharsets.UTF_8))
        .contains("fills.csv, line 5")
        .contains("1 line of fills was left out; 0 trades in their symbols may lack")
        .contains("KELPOR: sell 10 at 10:01:00 closes what was opened before the record");
  }

  @Test
  void aWrongCallExitsWithTwoAndSaysTheWayOut() {
    assertThat(run("matches", folder.toString(), "--scan", scan("01-morning-gaps.json")))
        .isEqualTo(2);
    assertThat(run("hits", folder.resolve("nowhere").toString())).isEqualTo(2);
    assertThat(told.toString(StandardCharsets.UTF_8))
        .contains("Missing required option: '--at")
        .contains("there is no folder");
  }

  @Test
  void researchAsksEachSymbolsFirstHit(@TempDir Path out) throws IOException {
    assertThat(run("hits", folder.toString(), "--scan", scan("09-halts.json"), "--unfolded"))
        .isZero();
    List<String> first =
        rows().stream()
            .collect(
                Collectors.toMap(
                    row -> row.getField("symbol"), row -> row.getField("time"), (a, b) -> a))
            .entrySet()
            .stream()
            .map(each -> each.getKey() + " " + each.getValue())
            .sorted()
            .toList();
    printed.reset();

    assertThat(
            run("research", folder.toString(), "--scan", scan("09-halts.json"), "--side", "short"))
        .isZero();
    assertThat(rows())
        .extracting(row -> row.getField("held_until"))
        .containsExactly(Arrays.stream(Held.values()).map(Held::words).toArray(String[]::new));
    assertThat(told.toString(StandardCharsets.UTF_8))
        .contains(
            "and one sells short at the next print, from 2031-03-12 to 2031-03-12, until the"
                + " close");

    printed.reset();
    assertThat(
            run(
                "research",
                folder.toString(),
                "--scan",
                scan("09-halts.json"),
                "--out",
                out.toString()))
        .isZero();
    assertThat(printed.size()).isZero();
    List<NamedCsvRecord> cases =
        CsvReader.builder().ofNamedCsvRecord(out.resolve("cases.csv")).stream().toList();
    assertThat(cases)
        .extracting(row -> row.getField("symbol") + " " + row.getField("at"))
        .isSubsetOf(first)
        .isNotEmpty();
    assertThat(out.resolve("figures.csv")).exists();
    assertThat(out.resolve("cuts.csv")).exists();
  }

  @Test
  void researchHoldsOneScanAgainstAnother() {
    String halts = scan("09-halts.json");
    assertThat(run("research", folder.toString(), "--scan", halts, "--scan", halts)).isZero();
    assertThat(told.toString(StandardCharsets.UTF_8))
        .contains(": +0.0% in the mean; ")
        .contains(" cases in both, 0 only here, 0 only there.");

    assertThat(run("research", folder.toString(), "--scan", halts, "--scan", halts, "--sql"))
        .isEqualTo(2);
  }

  @Test
  void whatResearchCannotBeAskedIsSaid() {
    String scan = scan("09-halts.json");
    assertThat(run("research", folder.toString())).isEqualTo(2);
    assertThat(run("research", folder.toString(), "--scan", scan, "--side", "up")).isEqualTo(2);
    assertThat(run("research", folder.toString(), "--scan", scan, "--enter", "soon")).isEqualTo(2);
    assertThat(run("research", folder.toString(), "--scan", scan, "--held", "long")).isEqualTo(2);
    assertThat(
            run(
                "research",
                folder.toString(),
                "--scan",
                scan,
                "--enter",
                "open",
                "--after",
                "10:00"))
        .isEqualTo(2);
    assertThat(told.toString(StandardCharsets.UTF_8))
        .contains("name the scan with --scan FILE, and at most one more beside it")
        .contains("--side up: expected long or short")
        .contains("soon")
        .contains("expected one of 5 min, 15 min")
        .contains("--after goes with --enter hit only")
        .doesNotContain("Exception", "java.");
  }

  @Test
  void aGoodBackupOutlivesAFolderWithoutALedgerAndABadOneLeavesNoLedger(@TempDir Path other)
      throws IOException {
    Path backup = Files.writeString(other.resolve("backup.zip"), "a good backup");
    Path empty = Files.createDirectories(other.resolve("empty"));

    assertThat(run("ledger", empty.toString(), "--to", backup.toString())).isEqualTo(1);
    assertThat(backup).hasContent("a good backup");
    assertThat(run("ledger", empty.toString(), "--from", backup.toString())).isEqualTo(1);

    assertThat(told.toString(StandardCharsets.UTF_8))
        .contains(empty + " has no ledger.sqlite; name a folder that was opened in a window")
        .contains(backup + ": it is no archive of a ledger; expected a zip with ledger.json in it")
        .doesNotContain("Exception", "java.");
    assertThat(empty.resolve("ledger.sqlite")).doesNotExist();
  }

  @Test
  void anAddressThatNobodyKnowsIsSaid() {
    assertThat(run("sim", "--address", "no.such.host.invalid", "--folder", folder.toString()))
        .isEqualTo(2);
    assertThat(told.toString(StandardCharsets.UTF_8))
        .contains("the name no.such.host.invalid is not known; give --address a name")
        .doesNotContain("Exception", "null");
  }

  /** What a user can mend is told as it is; the rest is an error of Kelvo's own. */
  @Test
  void errorsInsideKelvoAreToldApartFromWrongCalls() {
    assertThat(Kelvo.isTold(new RefusedException("--from is after --to"))).isTrue();
    assertThat(Kelvo.isTold(new IllegalStateException(new IOException("gone")))).isTrue();
    assertThat(Kelvo.isTold(new IllegalArgumentException("0 cases"))).isFalse();
    assertThat(Kelvo.isTold(new DataAtFault("no session"))).isTrue();
    assertThat(Kelvo.isTold(new IOException("No space left on device"))).isTrue();
    assertThat(Kelvo.isTold(new NullPointerException("Cannot invoke ..."))).isFalse();
    assertThat(Kelvo.isTold(new NumberFormatException("For input string"))).isFalse();
    assertThat(Kelvo.isTold(new IndexOutOfBoundsException("Index 5"))).isFalse();
  }

  @Test
  void theVersionIsThatOfTheBuild() throws IOException {
    assertThat(run("--version")).isZero();
    assertThat(printed.toString(StandardCharsets.UTF_8).strip())
        .isEqualTo("Kelvo " + Version.number())
        .matches("Kelvo \\d+\\.\\d+\\.\\d+(-SNAPSHOT)?");
  }

  @Test
  void everyCommandHasItsHelp() {
    List<String> commands =
        List.of(
            "check",
            "matches",
            "hits",
            "review",
            "trackrecord",
            "whatif",
            "research",
            "report",
            "ledger",
            "convert",
            "record",
            "sim",
            "open",
            "live",
            "demo");
    for (String command : commands) {
      printed.reset();
      assertThat(run(command, "--help")).as(command).isZero();
      assertThat(printed.toString(StandardCharsets.UTF_8)).startsWith("Usage: kelvo " + command);
    }
    assertThat(told.toString(StandardCharsets.UTF_8)).isEmpty();
  }

  @Test
  void whatCannotBeAskedIsSaidWithTheWayOut() {
    assertThat(run("hits", folder.toString(), "--from", "12:00", "--to", "10:00")).isEqualTo(2);
    assertThat(run("trackrecord", folder.toString(), "--from", "2031-03-12", "--to", "2031-03-11"))
        .isEqualTo(2);
    assertThat(run("hits", folder.toString(), "--date", "2031-02-30")).isEqualTo(2);
    assertThat(run("hits", folder.toString(), "--scan", folder.resolve("nowhere").toString()))
        .isEqualTo(2);
    assertThat(told.toString(StandardCharsets.UTF_8))
        .contains("--from 12:00 is after --to 10:00; change one of them")
        .contains("--from 2031-03-12 is after --to 2031-03-11; change one of them")
        .contains("expected a date such as 2031-03-12, found \"2031-02-30\"")
        .contains("nowhere: cannot be read; check the file")
        .doesNotContain("Exception", "java.");
  }

  @Test
  void aTokenComesFromAnArgumentAFileOrTheEnvironment(@TempDir Path own) throws IOException {
    Token token = new Token();
    assertThat(token.text(name -> null)).isEmpty();
    assertThat(token.text(name -> name.equals("KELVO_TOKEN") ? "of the shell" : null))
        .isEqualTo("of the shell");
    token.file = Files.writeString(own.resolve("token"), "of a file\n");
    assertThat(token.text(name -> "of the shell")).isEqualTo("of a file");
    token.given = "given";
    assertThat(token.text(name -> "of the shell")).isEqualTo("given");
  }

  @Test
  void aDateWithoutASessionIsAFaultOfTheData() {
    assertThat(run("hits", folder.toString(), "--date", "2031-03-13")).isEqualTo(1);
    assertThat(told.toString(StandardCharsets.UTF_8))
        .contains("has no session of 2031-03-13; there are 2031-03-12");
  }
}
