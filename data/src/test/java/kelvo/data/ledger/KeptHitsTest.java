package kelvo.data.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import kelvo.data.scanfile.ScanFile;
import kelvo.field.FieldCatalogue;
import kelvo.field.FieldValues;
import kelvo.hit.Hit;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class KeptHitsTest {
  private static final LocalDate DAY = LocalDate.of(2031, 3, 12);
  private static final Scan SCAN = ScanFile.shipped(Vocabulary.DEFAULT).getFirst();

  @TempDir Path folder;

  private static Hit hit(String version) {
    FieldValues fields =
        new FieldValues(
            List.of(
                FieldCatalogue.number("price"),
                FieldCatalogue.number("overhead %"),
                FieldCatalogue.number("float turnover")),
            new double[0],
            new double[] {8.2, Double.POSITIVE_INFINITY, Double.NaN},
            Map.of("news category", "contract"),
            null);
    return new Hit(
        0,
        SCAN.name(),
        version,
        Side.UP,
        0,
        "TIDARC",
        DayTime.of(8, 58),
        Trigger.ENTERS,
        82_000,
        fields);
  }

  @Test
  void aHitIsReadBackAsItWasWithTheRulesOfItsDay() {
    Path file = folder.resolve("ledger.sqlite");
    try (Ledger ledger = Ledger.open(file)) {
      ledger.add(DAY, SCAN);
      ledger.add(DAY, hit(SCAN.version()));
    }

    try (Ledger again = Ledger.readOnly(file)) {
      assertThat(again.hits(DAY))
          .containsExactly(
              new KeptHit(
                  DAY,
                  DayTime.of(8, 58),
                  SCAN.name(),
                  SCAN.version(),
                  Side.UP,
                  "TIDARC",
                  "enters scan",
                  82_000,
                  Map.of("price", 8.2, "overhead %", Double.POSITIVE_INFINITY),
                  Map.of("news category", "contract")));
      String json = again.scanOfVersion(SCAN.version()).orElseThrow();
      assertThat(ScanFile.parse("kept", json, Vocabulary.DEFAULT, List.of())).isEqualTo(SCAN);
      assertThat(again.hits(DAY.plusDays(1))).isEmpty();
    }
  }

  @Test
  void aLedgerThatIsOnlyReadTakesNoWrites() {
    Path file = folder.resolve("ledger.sqlite");
    try (Ledger none = Ledger.readOnly(file)) {
      none.leaveAt(DAY, DayTime.of(10, 0));
      assertThat(none.awaitSaved()).isTrue();
      assertThat(none.leftAt(DAY)).isEmpty();
    }
    assertThat(file).doesNotExist();

    Ledger.open(file).close();
    try (Ledger reading = Ledger.readOnly(file)) {
      reading.leaveAt(DAY, DayTime.of(10, 0));
      assertThat(reading.leftAt(DAY)).isEmpty();
    }
  }

  @Test
  void theSameHitAgainWritesNothing() throws Exception {
    Path file = folder.resolve("ledger.sqlite");
    try (Ledger ledger = Ledger.open(file)) {
      ledger.add(DAY, hit(SCAN.version()));
    }
    byte[] before = Files.readAllBytes(file);
    try (Ledger ledger = Ledger.open(file)) {
      ledger.add(DAY, hit(SCAN.version()));
      assertThat(ledger.awaitSaved()).isTrue();
      assertThat(ledger.hits(DAY)).hasSize(1);
    }

    assertThat(Files.readAllBytes(file)).isEqualTo(before);
  }

  /** As it was while the fields of a hit were text. */
  @Test
  void hitsOfAnOlderLedgerArePackedAndACopyIsKept() throws Exception {
    Path file = folder.resolve("ledger.sqlite");
    String url = "jdbc:sqlite:" + file;
    Flyway.configure()
        .dataSource(url, null, null)
        .locations("classpath:kelvo/data/ledger/tables")
        .target("4")
        .load()
        .migrate();
    try (Connection old = DriverManager.getConnection(url);
        Statement statement = old.createStatement()) {
      statement.execute(
          "insert into hit(day, at, scan, scan_version, side, symbol, trigger_words, price, field_values)"
              + " values ('2031-03-12', 9, 'Morning risers', 'abc', 'UP', 'TIDARC', 'halt', 82000,"
              + " '{\"price\":8.2,\"gap\":0.1234567,\"overhead %\":\"clear\",\"kind\":\"common stock\"}'),"
              + " ('2031-03-12', 10, 'Morning risers', '', 'DOWN', 'GLASBX', 'halt', 1, '{}')");
    }

    try (Ledger ledger = Ledger.open(file)) {
      assertThat(ledger.hits(DAY))
          .containsExactly(
              new KeptHit(
                  DAY,
                  9,
                  "Morning risers",
                  "abc",
                  Side.UP,
                  "TIDARC",
                  "halt",
                  82_000,
                  Map.of("price", 8.2, "gap", 0.1234567, "overhead %", Double.POSITIVE_INFINITY),
                  Map.of("kind", "common stock")),
              new KeptHit(
                  DAY,
                  10,
                  "Morning risers",
                  "",
                  Side.DOWN,
                  "GLASBX",
                  "halt",
                  1,
                  Map.of(),
                  Map.of()));
    }
    assertThat(folder.resolve("ledger.sqlite.before-8")).exists();
  }
}
