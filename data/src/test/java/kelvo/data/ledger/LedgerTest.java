package kelvo.data.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.List;
import kelvo.journal.Choice;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.journal.FocusSpan;
import kelvo.journal.Note;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.practice.DrillCall;
import kelvo.practice.DrillScore;
import kelvo.practice.Instruction;
import kelvo.practice.KeptCall;
import kelvo.practice.PaperBroker;
import kelvo.practice.PaperOrder;
import kelvo.practice.PracticeDay;
import kelvo.practice.Terms;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.sqlite.SQLiteErrorCode;

class LedgerTest {
  private static final List<KeptCall> CALLS =
      List.of(
          new KeptCall(
              LocalDate.of(2031, 2, 3),
              "TIDARC",
              DayTime.of(10, 0),
              DayTime.of(10, 1),
              8.305,
              0.02,
              new DrillScore(DrillCall.SHORT, -0.021, -1.05, true, 0.1, DayTime.of(10, 9), 8.4711)),
          new KeptCall(
              LocalDate.of(2031, 2, 4),
              "KELPOR",
              5,
              6,
              3,
              0.005,
              new DrillScore(DrillCall.NO, 0, 0, false, Double.NaN, 6, Double.NaN)));

  static final LocalDate DAY = LocalDate.of(2031, 3, 12);

  @TempDir Path folder;

  private Ledger open() {
    return Ledger.open(folder.resolve("ledger.sqlite"));
  }

  @Test
  void openingItAgainShowsTheDayAsItWas() {
    Decision decision =
        new Decision(
            "TIDARC",
            DayTime.of(8, 0),
            Choice.KEEP,
            "fresh news",
            Side.UP,
            "later",
            "over the high");
    Level level = Level.standing("TIDARC", 82_000, LevelKind.BY_HAND, DayTime.of(8, 1));
    Level line =
        Level.trendLine(
            "TIDARC", DayTime.of(7, 0), 80_000, DayTime.of(8, 0), 81_234, DayTime.of(8, 1));
    Note note = new Note("TIDARC", DayTime.of(8, 2), "quiet so far");
    FocusSpan span = new FocusSpan("TIDARC", DayTime.of(8, 0), DayTime.of(8, 5));
    Fill fill =
        new Fill(
            DayTime.of(9, 31),
            "TIDARC",
            FillSide.BUY,
            new BigDecimal("100.25"),
            new BigDecimal("8.30"),
            new BigDecimal("-0.050001"),
            "main",
            "K1");
    try (Ledger ledger = open()) {
      ledger.add(DAY, decision);
      ledger.add(DAY, level);
      ledger.add(DAY, line);
      ledger.remove(DAY, level, DayTime.of(9, 0));
      ledger.add(DAY, note);
      ledger.add(DAY, span);
      ledger.addFills(DAY, List.of(fill));
      ledger.leaveAt(DAY, DayTime.of(10, 0));
    }

    try (Ledger again = open()) {
      DayBook book = again.day(DAY);
      assertThat(book.decisions()).containsExactly(decision);
      assertThat(book.levels()).containsExactly(level.until(DayTime.of(9, 0)), line);
      assertThat(book.notes()).containsExactly(note);
      assertThat(book.focus()).containsExactly(span);
      assertThat(book.fills()).containsExactly(fill);
      assertThat(again.leftAt(DAY)).hasValue(DayTime.of(10, 0));
      assertThat(again.day(DAY.plusDays(1))).isEqualTo(DayBook.EMPTY);
    }
  }

  @Test
  void importingTheSameFillsTwiceAddsNothing() {
    Fill fill =
        new Fill(
            DayTime.of(9, 31),
            "TIDARC",
            FillSide.BUY,
            new BigDecimal("100.25"),
            new BigDecimal("8.30"),
            new BigDecimal("-0.050001"),
            "main",
            "");
    try (Ledger ledger = open()) {
      ledger.addFills(DAY, List.of(fill, fill));
      ledger.addFills(DAY, List.of(fill, fill));
      ledger.awaitSaved();

      assertThat(ledger.day(DAY).fills()).hasSize(2);
    }
  }

  @Test
  void whatWasDoneOnPaperStaysApartFromRealFills() {
    List<Instruction> instructions =
        List.of(
            new Instruction.Place(
                5,
                new PaperOrder(
                    1, "TIDARC", 1, 100, new Terms.Market(), new PaperOrder.Exits(80_000, 90_000))),
            new Instruction.Place(6, new PaperOrder(2, "KELPOR", -1, 50, new Terms.Limit(31_000))),
            new Instruction.Place(7, new PaperOrder(3, "KELPOR", -1, 50, new Terms.Stop(30_000))),
            new Instruction.Place(
                8, new PaperOrder(4, "KELPOR", 1, 50, new Terms.StopLimit(32_000, 32_100))),
            new Instruction.Cancel(9, 2));
    Fill first = onPaper(10, "8.30");
    Fill other = onPaper(11, "8.305");
    try (Ledger ledger = open()) {
      for (int place = 0; place < instructions.size(); place++) {
        ledger.addPractice(DAY, place, instructions.get(place));
      }
      ledger.setPracticeFills(DAY, List.of(first));
      ledger.setPracticeFills(DAY, List.of(first, other));
      CALLS.forEach(ledger::addDrillCall);
    }
    try (Ledger ledger = open()) {
      assertThat(ledger.practice(DAY))
          .isEqualTo(new PracticeDay(instructions, List.of(first, other), CALLS));
      assertThat(ledger.practice(DAY.plusDays(1)))
          .isEqualTo(new PracticeDay(List.of(), List.of(), CALLS));
      assertThat(ledger.day(DAY).fills()).isEmpty();
      assertThat(ledger.allFills()).isEmpty();
    }
  }

  private static Fill onPaper(long at, String price) {
    return new Fill(
        at,
        "TIDARC",
        FillSide.BUY,
        new BigDecimal("100"),
        new BigDecimal(price),
        BigDecimal.ZERO,
        PaperBroker.ACCOUNT,
        "1");
  }

  @Test
  void aFileThatIsNoLedgerIsLeftAlone() throws IOException {
    Files.writeString(
        folder.resolve("ledger.sqlite"),
        "my shopping list, which is long enough to be no database header at all");

    assertThatThrownBy(this::open)
        .isInstanceOf(Ledger.LedgerException.class)
        .hasMessageContaining("ledger.sqlite")
        .hasMessageContaining("move the file away");
    assertThat(folder.resolve("ledger.sqlite")).content().startsWith("my shopping list");
  }

  /** A ledger as it was before fills had fractions, with a fill of each of two days. */
  private void writeOlder() throws SQLException {
    String url = "jdbc:sqlite:" + folder.resolve("ledger.sqlite");
    Flyway.configure()
        .dataSource(url, null, null)
        .locations("classpath:kelvo/data/ledger/tables")
        .target("3")
        .load()
        .migrate();
    try (Connection old = DriverManager.getConnection(url);
        Statement statement = old.createStatement()) {
      statement.execute(
          "insert into fill(day, at, symbol, side, quantity, price, fee, account, order_id, same)"
              + " values ('2031-03-12', 7, 'TIDARC', 'SELL', 1200, 83050, -500, 'main', 'K1', 0),"
              + " ('2031-03-11', 9, 'TIDARC', 'BUY', 100, 100000, 0, 'main', 'K2', 0)");
    }
  }

  @Test
  void readingLeavesAnOlderLedgerAsItIs() throws Exception {
    writeOlder();
    Path file = folder.resolve("ledger.sqlite");
    byte[] before = Files.readAllBytes(file);

    try (Ledger ledger = Ledger.readOnly(file)) {
      assertThat(ledger.day(DAY).fills())
          .extracting(Fill::price)
          .containsExactly(new BigDecimal("8.305"));
    }

    assertThat(file).hasBinaryContent(before);
    assertThat(file.resolveSibling("ledger.sqlite.before-8")).doesNotExist();
  }

  @Test
  void readingChangesNothingAndSeesWhatAnOpenWindowSaves() throws IOException {
    Path file = folder.resolve("ledger.sqlite");
    try (Ledger writing = open()) {
      writing.add(DAY, new Note("TIDARC", 5, "before the other opens"));
      assertThat(writing.awaitSaved()).isTrue();
      byte[] before = Files.readAllBytes(file);
      try (Ledger reading = Ledger.readOnly(file)) {
        assertThat(reading.day(DAY).notes()).hasSize(1);
        assertThat(file).hasBinaryContent(before);
        writing.add(DAY, new Note("TIDARC", 6, "while it is open"));
        assertThat(writing.awaitSaved()).isTrue();
        assertThat(reading.day(DAY).notes()).hasSize(2);
      }
    }
  }

  @Test
  void anEntryThatThisVersionDoesNotKnowIsLeftOutKeptAndTold() throws Exception {
    Decision known =
        new Decision("TIDARC", 5, Choice.KEEP, "it holds", Side.UP, "at the open", "buy the dip");
    try (Ledger ledger = open()) {
      ledger.add(DAY, known);
    }
    String url = "jdbc:sqlite:" + folder.resolve("ledger.sqlite");
    try (Connection direct = DriverManager.getConnection(url);
        Statement statement = direct.createStatement()) {
      statement.execute(
          "insert into decision(day, at, symbol, choice, reason, side, bucket, plan)"
              + " values ('2031-03-12', 6, 'KELPOR', 'HEDGE', '', 'UP', '', '')");
      statement.execute(
          "insert into rule_kept(day, rule, answer) values ('2031-03-12', 'no chase', 'HALF'),"
              + " ('2031-03-12', 'stops', 'KEPT')");
    }

    try (Ledger ledger = open()) {
      for (int twice = 0; twice < 2; twice++) {
        assertThat(ledger.day(DAY).decisions()).containsExactly(known);
        assertThat(ledger.day(DAY).page().rules()).hasSize(1);
      }
      assertThat(ledger.unknownEntries())
          .containsExactly(
              "ledger: 1 entry of the table decision is not known to this Kelvo; left out, and kept"
                  + " in the file",
              "ledger: 1 entry of the table rule_kept is not known to this Kelvo; left out, and kept"
                  + " in the file");
    }
    try (Connection direct = DriverManager.getConnection(url);
        Statement statement = direct.createStatement();
        ResultSet kept = statement.executeQuery("select choice from decision order by at")) {
      assertThat(kept.next()).isTrue();
      assertThat(kept.next()).isTrue();
      assertThat(kept.getString(1)).isEqualTo("HEDGE");
    }
  }

  @Test
  void aFolderThatIsDeletedWhileOpenIsToldAtOnceAndNothingCountsAsSaved() throws IOException {
    Path moved = folder.resolve("moved");
    Path place = Files.createDirectories(folder.resolve("data"));
    Ledger ledger = Ledger.open(place.resolve("ledger.sqlite"));
    ledger.add(DAY, new Note("TIDARC", 5, "saved"));
    assertThat(ledger.awaitSaved()).isTrue();

    Files.move(place, moved);
    while (ledger.failure().isEmpty()) {
      Thread.onSpinWait();
    }
    assertThat(ledger.failure())
        .isEqualTo(
            "The ledger cannot be written: there is no file "
                + place.resolve("ledger.sqlite")
                + "; put the folder back where it was.");
    ledger.add(DAY, new Note("TIDARC", 6, "waits"));
    assertThat(ledger.awaitSaved()).isFalse();
    assertThat(ledger.waiting()).isEqualTo(1);

    Files.move(moved, place);
    while (!ledger.failure().isEmpty()) {
      Thread.onSpinWait();
    }
    assertThat(ledger.finish()).isEmpty();
    assertThat(ledger.day(DAY).notes()).hasSize(2);
  }

  /** A ledger that cannot be reached must not be taken for a bad one and moved away. */
  @Test
  void whyItCannotBeOpenedIsTheDisksReason() throws IOException {
    Path noFile = Files.createDirectories(folder.resolve("ledger.sqlite"));

    assertThatThrownBy(() -> Ledger.open(noFile))
        .isInstanceOf(Ledger.LedgerException.class)
        .hasMessage(
            noFile
                + " cannot be opened: it may not be written; let the file and its folder be"
                + " written");
  }

  @ParameterizedTest
  @CsvSource({
    "SQLITE_FULL, FULL",
    "SQLITE_READONLY, FORBIDDEN",
    "SQLITE_CANTOPEN, FORBIDDEN",
    "SQLITE_BUSY, BUSY",
    "SQLITE_IOERR, DISK"
  })
  void troubleOfTheDiskIsKnown(SQLiteErrorCode code, LedgerTrouble trouble) {
    SQLException thrown = new SQLException("of the driver", "", code.code);

    assertThat(LedgerTrouble.of(new IllegalStateException(thrown))).contains(trouble);
    assertThat(LedgerTrouble.of(new SQLException("", "", SQLiteErrorCode.SQLITE_NOTADB.code)))
        .isEmpty();
  }

  /** As it was while fills were whole shares, and prices and fees ten-thousandths of a dollar. */
  @Test
  void fillsOfAnOlderLedgerComeBackAsTheyWere() throws Exception {
    writeOlder();
    Fill expected =
        new Fill(
            7,
            "TIDARC",
            FillSide.SELL,
            new BigDecimal(1200),
            new BigDecimal("8.305"),
            new BigDecimal("-0.05"),
            "main",
            "K1");

    try (Ledger ledger = open()) {
      assertThat(ledger.day(DAY).fills()).containsExactly(expected);
      assertThat(ledger.fillsBefore(DAY).get(LocalDate.of(2031, 3, 11)))
          .extracting(Fill::price)
          .containsExactly(BigDecimal.TEN);
      ledger.addFills(DAY, List.of(expected));
      ledger.awaitSaved();
      assertThat(ledger.day(DAY).fills()).as("the same fill again").hasSize(1);
    }
  }

  @Test
  void aNewerLedgerIsRefusedAndStaysAsItIs(@TempDir Path other) throws Exception {
    Path file = other.resolve("ledger.sqlite");
    Ledger.open(file).close();
    try (Connection direct = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = direct.createStatement()) {
      statement.execute(
          "insert into flyway_schema_history select installed_rank + 100, '99', 'of tomorrow', type,"
              + " 'V99__of_tomorrow.sql', 1, installed_by, installed_on, execution_time, success"
              + " from flyway_schema_history where version = '1'");
    }
    byte[] before = Files.readAllBytes(file);

    assertThatThrownBy(() -> Ledger.open(file))
        .isInstanceOf(Ledger.LedgerException.class)
        .hasMessage(
            file
                + " was written by a newer Kelvo; open it with that one, or choose another folder");
    assertThatThrownBy(() -> Ledger.readOnly(file)).isInstanceOf(Ledger.LedgerException.class);
    assertThat(file).hasBinaryContent(before);
  }
}
