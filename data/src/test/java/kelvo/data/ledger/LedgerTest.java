package kelvo.data.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
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

  /** As it was while fills were whole shares, and prices and fees ten-thousandths of a dollar. */
  @Test
  void fillsOfAnOlderLedgerComeBackAsTheyWere() throws Exception {
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
