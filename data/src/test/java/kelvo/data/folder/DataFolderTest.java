package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.github.luben.zstd.Zstd;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.zip.GZIPOutputStream;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.fault.Fault;
import kelvo.history.Distribution;
import kelvo.job.Progress;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.tape.EventKind;
import kelvo.time.DayTime;
import kelvo.trade.CostMethod;
import kelvo.trade.Fill;
import kelvo.trade.RoundTrips;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DataFolderTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);

  @TempDir Path folder;
  private DataFolder data;

  @BeforeEach
  void write() throws IOException {
    file(
        "securities.csv",
        "symbol,name,mic,cfi,sector,float,float_as_of,shortable,made_up",
        "TIDARC,\"Tidal Arc, Power\",XNAS,ESVUFR,tidal power,14000000,2031-01-02,yes,x",
        "SONWEL,Sonwell,XNYS,ESVUFR,sound therapy,42000000,2031-01-02,,y");
    file("actions.csv", "symbol,date,kind,ratio", "SONWEL,2031-03-12,split,0.1");
    file(
        "daily.csv",
        "symbol,date,open,high,low,close,volume,trades",
        "TIDARC,2031-03-11,6.00,6.40,5.90,6.20,1000,10",
        "SONWEL,2031-03-11,0.60,0.64,0.58,0.62,5000,10");
    file(
        "sessions/2031-03-12/trades.csv",
        "time,symbol,price,size,conditions,id",
        "09:30:00.5,TIDARC,6.5,100,regular,1",
        "09:29:00,TIDARC,6.4,200,T I,2");
    file(
        "sessions/2031-03-12/quotes.csv",
        "time,symbol,bid,bid_size,ask,ask_size",
        "09:30:00.5,TIDARC,6.49,100,6.51,200",
        "09:31:00,SONWEL,,,6.2,100");
    file(
        "sessions/2031-03-12/status.csv",
        "time,symbol,state,reason",
        "10:00:00,TIDARC,halted,LUDP");
    file(
        "fills.csv",
        "time,symbol,side,quantity,price,fee,account,order_id",
        "2031-03-12T09:31:20-04:00,TIDARC,buy,600,6.52,3,main,K1",
        "2031-03-11T09:31:20-04:00,TIDARC,buy,1,6.52,3,main,K0");
    data = new DataFolder(folder, new ExchangeCalendar());
  }

  private void file(String name, String... lines) throws IOException {
    Path path = folder.resolve(name);
    Files.createDirectories(path.getParent());
    Files.writeString(path, String.join("\r\n", lines) + "\r\n");
  }

  private void compressed(String name, byte[] content) throws IOException {
    Files.deleteIfExists(folder.resolve(name.replaceFirst("\\.(gz|zst)$", "")));
    Files.write(folder.resolve(name), content);
  }

  private Session session() {
    return data.session(DATE, Progress.NONE);
  }

  @Test
  void readsAWholeFolderWithoutFault() {
    Session session = session();

    assertThat(data.faults()).isEmpty();
    assertThat(session.securities())
        .extracting(f -> f.security().name())
        .containsExactly("Tidal Arc, Power", "Sonwell");
    assertThat(session.security(1).previousClose()).isEqualTo(62_000);
    assertThat(session.security(1).floatShares()).isEqualTo(4_200_000);
    assertThat(session.security(1).recentSplit()).isNotNull();
    assertThat(data.fills(DATE)).extracting(Fill::orderId).containsExactly("K1");
  }

  /** TIDARC closed at 6.20; a dividend of 0.20 leaves 6.00, and a print at 6.00 is no gap. */
  @Test
  void whatAShareGivesUpOnItsExDateIsNoGap() throws IOException {
    file(
        "actions.csv",
        "symbol,date,kind,ratio,amount",
        "TIDARC,2031-03-12,dividend,,0.20",
        "TIDARC,2031-03-13,dividend,,1",
        "SONWEL,2031-03-12,spin_off,,0.02",
        "SONWEL,2031-03-12,merger,,0.02",
        "SONWEL,2031-03-12,dividend,,");
    Session session = session();

    assertThat(session.security(0).previousClose()).isEqualTo(60_000);
    assertThat(session.security(0).priorClose()).isEqualTo(62_000);
    assertThat(session.security(0).distributions())
        .extracting(Distribution::words)
        .containsExactly("ex dividend $0.2000");
    assertThat(session.security(1).previousClose()).isEqualTo(6_000);
    assertThat(data.faults())
        .extracting(Fault::expected)
        .containsExactly("split, dividend or spin_off", "the dollars a share in a column amount");
  }

  @Test
  void eventsStandByTimeThenKind() {
    Session session = session();

    assertThat(
            java.util.stream.IntStream.range(0, session.tape().size())
                .mapToObj(session.tape()::kind))
        .containsExactly(
            EventKind.TRADE, EventKind.QUOTE, EventKind.TRADE, EventKind.QUOTE, EventKind.STATUS);
  }

  @Test
  void aSeqColumnRulesTheOrder() throws IOException {
    Files.delete(folder.resolve("sessions/2031-03-12/quotes.csv"));
    Files.delete(folder.resolve("sessions/2031-03-12/status.csv"));
    file(
        "sessions/2031-03-12/trades.csv",
        "seq,time,symbol,price,size,conditions,id",
        "2,09:30:00,TIDARC,6.5,100,regular,1",
        "1,09:31:00,TIDARC,6.4,200,regular,2");

    assertThat(session().tape().price(0)).isEqualTo(64_000);
  }

  @Test
  void everyWrongLineIsReportedWithFileLineAndColumnAndTheRestIsRead() throws IOException {
    file(
        "sessions/2031-03-12/trades.csv",
        "time,symbol,price,size,conditions,id",
        "09:30:00,TIDARC,6.5,100,regular,1",
        "9h30,TIDARC,6.5,100,regular,2",
        "09:30:01,NOBODY,6.5,100,regular,3",
        "09:30:02,TIDARC,-1,100,regular,4",
        "09:30:03,TIDARC,6.5,100,sideways,5",
        "09:30:04,TIDARC,6.5",
        "09:30:05,TIDARC,6.6,100,regular,6");
    Session session = session();

    assertThat(data.faults())
        .extracting(Fault::line, Fault::column)
        .containsExactly(
            org.assertj.core.api.Assertions.tuple(3L, "time"),
            org.assertj.core.api.Assertions.tuple(4L, "symbol"),
            org.assertj.core.api.Assertions.tuple(5L, "price"),
            org.assertj.core.api.Assertions.tuple(6L, "conditions"),
            org.assertj.core.api.Assertions.tuple(7L, ""));
    assertThat(data.faults().getFirst().sentence())
        .isEqualTo(
            "sessions/2031-03-12/trades.csv, line 3, column time: expected a time such as 09:30:05.123 or 2031-03-12T09:30:05-04:00, found \"9h30\"; the line was left out");
    assertThat(session.tape().eventsOf(0, session.tape().size()))
        .as("an unknown condition keeps its print")
        .hasSize(5);
  }

  @Test
  void aFigureDatedAfterTheSessionIsNotKnownInItAndEachIsScaledByItsOwnDate() throws IOException {
    file(
        "securities.csv",
        "symbol,name,mic,cfi,shares_outstanding,shares_as_of,float,float_as_of",
        "TIDARC,Tidal Arc,XNAS,ESVUFR,1000000,2031-01-02,500000,2031-03-03",
        "GLASBX,Glass Box,XNAS,ESVUFR,1000000,2031-03-01,500000,2031-03-13");
    file("actions.csv", "symbol,date,kind,ratio", "TIDARC,2031-02-03,split,2");
    file(
        "daily.csv",
        "symbol,date,open,high,low,close,volume",
        "TIDARC,2031-03-10,8,8,8,8,1000",
        "GLASBX,2031-03-11,8,8,8,8,1000");
    Session session = session();
    SecurityFacts split = session.security(session.numberOf("TIDARC").orElseThrow());
    SecurityFacts later = session.security(session.numberOf("GLASBX").orElseThrow());

    assertThat(split.sharesOutstanding()).isEqualTo(2_000_000);
    assertThat(split.floatShares()).isEqualTo(500_000);
    assertThat(later.sharesOutstanding()).isEqualTo(1_000_000);
    assertThat(later.floatShares()).isNaN();
    assertThat(data.doubtsAbout(session))
        .containsExactly(
            "daily.csv: stale daily bars, without that of 2031-03-11: TIDARC",
            "securities.csv: a float dated later than the session of 2031-03-12: GLASBX");
  }

  private static final String FILLS = "time,symbol,side,quantity,price,fee,account,order_id";

  @Test
  void aRebateIsAFeeBelowZero() throws IOException {
    file("fills.csv", FILLS, "2031-03-12T10:00:00-04:00,TIDARC,buy,100,8.2,-0.35,A,1");

    assertThat(data.fills(DATE)).extracting(Fill::fee).containsExactly(new BigDecimal("-0.35"));
    assertThat(data.faults()).isEmpty();
  }

  @Test
  void fillsHaveSixDecimalsAndFractionsOfShares() throws IOException {
    fills(
        List.of(
            "2031-03-12T10:00:00-04:00,TIDARC,buy,0.333333,8.123456,0.01234,A,1",
            "2031-03-12T10:00:00-04:00,TIDARC,buy,0.3333333,8,0,A,2",
            "2031-03-12T10:00:00-04:00,TIDARC,buy,0,8,0,A,3"));

    assertThat(data.fills(DATE))
        .singleElement()
        .satisfies(
            fill -> {
              assertThat(fill.quantity()).isEqualTo("0.333333");
              assertThat(fill.price()).isEqualTo("8.123456");
              assertThat(fill.fee()).isEqualTo("0.01234");
            });
    assertThat(data.faults()).extracting(Fault::line).containsExactly(3L, 4L);
  }

  private void fills(List<String> rows) throws IOException {
    file("fills.csv", FILLS, String.join("\r\n", rows));
  }

  /** Bought and sold within a second, then bought again: one trade from flat to flat, one open. */
  @Test
  void aFileThatRunsNewestFirstIsTurnedRound() throws IOException {
    String[] oldestFirst = {
      "2031-03-12T10:00:00-04:00,TIDARC,buy,100,8.2,0,A,1",
      "2031-03-12T10:05:00-04:00,TIDARC,sell,100,8.4,0,A,2",
      "2031-03-12T10:05:00-04:00,TIDARC,buy,50,8.4,0,A,3",
      "2031-03-12T10:09:00-04:00,TIDARC,sell,50,8.5,0,A,4"
    };
    fills(List.of(oldestFirst));
    RoundTrips trades = RoundTrips.of(data.fills(DATE), CostMethod.FIRST_IN_FIRST_OUT);
    assertThat(trades.trades()).hasSize(2);
    fills(List.of(oldestFirst).reversed());
    data = new DataFolder(folder, new ExchangeCalendar());

    assertThat(data.fills(DATE)).extracting(Fill::orderId).containsExactly("1", "2", "3", "4");
    assertThat(RoundTrips.of(data.fills(DATE), CostMethod.FIRST_IN_FIRST_OUT)).isEqualTo(trades);
  }

  @Test
  void aWrongHeaderStopsThatFileAlone() throws IOException {
    file("daily.csv", "symbol,day,open", "TIDARC,2031-03-11,6");
    Session session = session();

    assertThat(data.faults())
        .singleElement()
        .satisfies(f -> assertThat(f.expected()).contains("date"));
    assertThat(session.tape().size()).isEqualTo(5);
  }

  @Test
  void compressedFilesAreReadTheSame() throws IOException {
    byte[] plain = Files.readAllBytes(folder.resolve("sessions/2031-03-12/trades.csv"));
    compressed("sessions/2031-03-12/trades.csv.zst", Zstd.compress(plain));
    byte[] daily = Files.readAllBytes(folder.resolve("daily.csv"));
    ByteArrayOutputStream gzip = new ByteArrayOutputStream();
    try (GZIPOutputStream out = new GZIPOutputStream(gzip)) {
      out.write(daily);
    }
    compressed("daily.csv.gz", gzip.toByteArray());

    assertThat(session().tape().size()).isEqualTo(5);
    assertThat(data.faults()).isEmpty();
  }

  @Test
  void aTruncatedCompressedFileGivesWhatWasWhole() throws IOException {
    StringBuilder rows = new StringBuilder("time,symbol,price,size,conditions,id\n");
    for (int i = 0; i < 50_000; i++) {
      rows.append(DayTime.millis(DayTime.of(9, 30) + i * 7_919_000L))
          .append(",TIDARC,6.")
          .append(10 + i % 89)
          .append(",")
          .append(100 + i * 31 % 977)
          .append(",regular,")
          .append(i)
          .append("\n");
    }
    byte[] whole = Zstd.compress(rows.toString().getBytes(StandardCharsets.UTF_8));
    compressed("sessions/2031-03-12/trades.csv.zst", Arrays.copyOf(whole, whole.length / 2));
    Session session = session();

    int trades = session.tape().size() - 2;
    assertThat(trades).as("and two quotes").isGreaterThan(1_000);
    assertThat(data.faultSentences())
        .filteredOn(sentence -> sentence.contains("trades.csv.zst"))
        .singleElement()
        .asString()
        .matches(".*trades.csv.zst: expected a whole file; its lines up to [0-9]+ were read, .*")
        .endsWith("the file counts all the same");
  }

  @Test
  void aMissingFolderSaysSo() {
    assertThatThrownBy(() -> new DataFolder(folder.resolve("nowhere"), new ExchangeCalendar()))
        .hasMessageContaining("there is no folder")
        .hasMessageContaining("securities.csv");
  }

  @Test
  void sessionDatesAreThoseOfTheFolders() {
    assertThat(data.sessionDates()).isEqualTo(List.of(DATE));
  }

  @Test
  void aFigurePutRightCountsFromItsDateOnAndTheLastOneWins() throws IOException {
    file(
        "figures.csv",
        "symbol,figure,value,as_of,source",
        "TIDARC,float,9000000,2031-02-01,report",
        "TIDARC,float,8000000,2031-03-01,second report",
        "TIDARC,float,1000000,2031-03-13,of tomorrow",
        "TIDARC,shares_outstanding,20000000,2031-03-01,second report",
        "TIDARC,price,1,2031-03-01,wrong");
    FiguresFile.append(
        folder,
        new kelvo.universe.Figure(
            "SONWEL",
            kelvo.universe.Figure.Kind.FLOAT,
            3e6,
            LocalDate.of(2031, 3, 11),
            "a, \"b\""));

    SecurityFacts tidarc = data.session(DATE, Progress.NONE).security(0);

    assertThat(tidarc.floatShares()).isEqualTo(8e6);
    assertThat(tidarc.security().floatAsOf()).isEqualTo("2031-03-01");
    assertThat(tidarc.sharesOutstanding()).isEqualTo(20e6);
    assertThat(data.figures().getLast().source()).isEqualTo("a, \"b\"");
    assertThat(data.session(DATE, Progress.NONE).security(1).floatShares()).isEqualTo(3e5);
    assertThat(data.faults()).hasSize(1).allMatch(f -> f.file().startsWith("figures"));
  }

  @Test
  void aFigureTakenBackGoesAndEveryOtherLineStays() throws IOException {
    file(
        "figures.csv",
        "figure,symbol,value,as_of,source",
        "float,TIDARC,8000000,2031-03-01,\"a report",
        "of two lines\"",
        "float,TIDARC,8e6,2031-03-01,web",
        "price,TIDARC,1,2031-03-01,wrong",
        "float,TIDARC,8000000.0,2031-03-01,web");
    kelvo.universe.Figure web =
        new kelvo.universe.Figure(
            "TIDARC", kelvo.universe.Figure.Kind.FLOAT, 8e6, LocalDate.of(2031, 3, 1), "web");

    FiguresFile.takeBack(folder, web);
    assertThat(Files.readAllLines(folder.resolve("figures.csv")))
        .containsExactly(
            "figure,symbol,value,as_of,source",
            "float,TIDARC,8000000,2031-03-01,\"a report",
            "of two lines\"",
            "float,TIDARC,8e6,2031-03-01,web",
            "price,TIDARC,1,2031-03-01,wrong");
    FiguresFile.takeBack(folder, web);
    FiguresFile.takeBack(folder, web);
    assertThat(Files.readAllLines(folder.resolve("figures.csv"))).hasSize(4);
  }
}
