package kelvo.data.fill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Tables in the ways in which brokers write them; the brokers are invented. */
class FillMappingTest {
  private static final LocalDate DAY = LocalDate.of(2031, 3, 12);

  private static FillMapping.Read read(String text) {
    BrokerTable table = BrokerTable.of(text);
    return FillMapping.guess(table).read(table);
  }

  private static List<Fill> fills(String text) {
    FillMapping.Read read = read(text);
    assertThat(read.leftOut()).isEmpty();
    return read.byDay().get(DAY);
  }

  private static Fill fill(String at, FillSide side, String quantity, String price, String fee) {
    return new Fill(
        DayTime.parse(at),
        "TIDARC",
        side,
        new BigDecimal(quantity),
        new BigDecimal(price),
        new BigDecimal(fee),
        "",
        "");
  }

  @Test
  void monthsFirstHalvesOfTheDayAndSeveralFees() {
    assertThat(
            fills(
                """
                Harbor Light Brokerage,,,,,,
                Account activity 03/12/2031,,,,,,
                Trade Date,Exec Time,Action,Symbol,Qty,Price,Commission,SEC Fee,Settle Date
                03/12/2031,09:31:05 AM,Bought,tidarc,"1,200",$8.20,$1.00,$0.25,03/14/2031
                03/12/2031,1:02:03 PM,Sell to Close,TIDARC,1200,8.5,1,0.30,03/14/2031
                """))
        .containsExactly(
            fill("09:31:05", FillSide.BUY, "1200", "8.20", "1.25"),
            fill("13:02:03", FillSide.SELL, "1200", "8.5", "1.30"));
  }

  @Test
  void semicolonsDecimalCommasAndDaysFirst() {
    assertThat(
            fills(
                """
                Date/Time;Ticker;Buy/Sell;Quantity;Price;Fee
                12.03.2031 09:31:05;TIDARC;sell short;100,5;8,20;0,50
                12.03.2031 10:00:00;TIDARC;buy to cover;100,5;8,10;0,50
                """))
        .containsExactly(
            fill("09:31:05", FillSide.SHORT, "100.5", "8.20", "0.5"),
            fill("10:00:00", FillSide.COVER, "100.5", "8.10", "0.5"));
  }

  @Test
  void aTimeWithAnOffsetIsBroughtToNewYork() {
    assertThat(
            fills(
                """
                timestamp,symbol,side,quantity,price
                2031-03-12T13:31:05.250Z,TIDARC,BUY,10,8.20
                2031-03-12T15:00:00+01:00,TIDARC,SELL,10,8.30
                """))
        .containsExactly(
            fill("09:31:05.250", FillSide.BUY, "10", "8.20", "0"),
            fill("10:00:00", FillSide.SELL, "10", "8.30", "0"));
  }

  @Test
  void aSignedQuantityIsTheSideAndFeesBelowZeroWerePaid() {
    assertThat(
            fills(
                """
                date\ttime\tsymbol\tshares\tprice\tcommission
                20310312\t09:31\tTIDARC\t50\t8.20\t-1.00
                20310312\t09:40\tTIDARC\t-50\t8.30\t(1.00)
                """))
        .containsExactly(
            fill("09:31", FillSide.BUY, "50", "8.20", "1.00"),
            fill("09:40", FillSide.SELL, "50", "8.30", "1.00"));
  }

  @Test
  void aRebateStaysBelowZero() {
    assertThat(
            fills(
                """
                time,symbol,side,quantity,price,fee
                2031-03-12 09:31:00,TIDARC,buy,50,8.20,-0.12
                2031-03-12 09:40:00,TIDARC,sell,50,8.30,0.50
                """))
        .extracting(Fill::fee)
        .containsExactly(new BigDecimal("-0.12"), new BigDecimal("0.5"));
  }

  @Test
  void newestFirstIsTurnedRoundAtEqualTimesToo() {
    assertThat(
            fills(
                """
                time,symbol,side,quantity,price
                2031-03-12 09:40:00,TIDARC,sell,3,8.30
                2031-03-12 09:31:00,TIDARC,sell,2,8.25
                2031-03-12 09:31:00,TIDARC,buy,5,8.20
                """))
        .extracting(Fill::side)
        .containsExactly(FillSide.BUY, FillSide.SELL, FillSide.SELL);
  }

  @Test
  void whatIsNoFillIsLeftOutWithItsLineAndReason() {
    FillMapping.Read read =
        read(
            """
            time,symbol,side,quantity,price
            2031-03-12 09:31:00,TIDARC,buy,5,8.20
            2031-03-12 09:32:00,TIDARC,dividend,5,8.20
            yesterday,TIDARC,buy,5,8.20
            2031-03-12 09:33:00,TIDARC,buy,none,8.20
            2031-03-12 09:34:00,TIDARC,buy,0,8.20

            Total,,,5,
            """);

    assertThat(read.fills()).isEqualTo(1);
    assertThat(read.leftOut())
        .containsExactly(
            new FillMapping.LeftOut(3, "\"dividend\" is no side: buy, sell, short or cover"),
            new FillMapping.LeftOut(4, "no date in \"yesterday\""),
            new FillMapping.LeftOut(5, "no quantity in \"none\""),
            new FillMapping.LeftOut(6, "quantity must be above 0, found 0"),
            new FillMapping.LeftOut(8, "no date in \"Total\""));
  }

  @Test
  void columnsThatTellNothingAreAskedFor() {
    BrokerTable table = BrokerTable.of("a,b,c,d,e\n2031-03-12 09:31:00,TIDARC,buy,5,8.20\n");
    FillMapping guessed = FillMapping.guess(table);

    assertThat(guessed.missing())
        .isEqualTo("Say which column has: date and time, symbol, quantity, price.");
    FillMapping told =
        guessed
            .with(0, FillPart.WHEN)
            .with(1, FillPart.SYMBOL)
            .with(2, FillPart.SIDE)
            .with(3, FillPart.QUANTITY)
            .with(4, FillPart.PRICE);
    assertThat(told.missing()).isEmpty();
    assertThat(told.read(table).byDay().get(DAY))
        .containsExactly(fill("09:31", FillSide.BUY, "5", "8.20", "0"));
  }

  @Test
  void noTableIsRefusedWithTheReason() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> BrokerTable.of("nothing here"))
        .withMessageContaining("no line has the names of at least four columns");
  }

  @Test
  void whatIsSaidOnceIsKeptByTheHeader(@TempDir Path folder) {
    BrokerTable table = BrokerTable.of("a,b,c,d,e\n2031-03-12 09:31:00,TIDARC,buy,5,8.20\n");
    FillMapping told = FillMapping.guess(table).with(1, FillPart.SYMBOL);
    mappings(folder).keep(table, told);

    assertThat(mappings(folder).of(table)).isEqualTo(told);
    BrokerTable other = BrokerTable.of("time,symbol,quantity,price\n");
    assertThat(mappings(folder).of(other)).isEqualTo(FillMapping.guess(other));
  }

  private final List<String> wrong = new ArrayList<>();

  private FillMappings mappings(Path folder) {
    return new FillMappings(folder, wrong::add);
  }

  @Test
  void whatWasKeptAndCannotBeReadIsGuessedAgain(@TempDir Path folder) throws IOException {
    BrokerTable table = BrokerTable.of("time,symbol,quantity,price\n");
    Files.writeString(
        folder.resolve("fill-columns.json"),
        "{\"time | symbol | quantity | price\": [\"when\", \"nonsense\", \"quantity\", \"price\"]}");

    assertThat(mappings(folder).of(table)).isEqualTo(FillMapping.guess(table));
    for (String text : List.of("no json", "[1, 2]")) {
      Path file = Files.writeString(folder.resolve("fill-columns.json"), text);
      FillMappings mappings = mappings(folder);
      assertThat(mappings.of(table)).isEqualTo(FillMapping.guess(table));
      mappings.keep(table, FillMapping.guess(table));
      assertThat(file).content().contains("time | symbol | quantity | price");
    }

    assertThat(wrong)
        .contains(
            "fill-columns.json, time | symbol | quantity | price: expected what columns hold; it is"
                + " guessed from their names",
            "fill-columns.json: expected JSON; columns are guessed from their names",
            "fill-columns.json: expected an object { .. }; columns are guessed from their names");
    assertThat(folder.resolve("fill-columns.json.unreadable")).hasContent("no json");
    assertThat(folder.resolve("fill-columns.json.unreadable-2")).hasContent("[1, 2]");
  }

  @Test
  void aFileInLatinLettersIsRead(@TempDir Path folder) throws IOException {
    Path file = folder.resolve("fills.csv");
    Files.write(
        file,
        "time,symbol,side,quantity,price,note\n2031-03-12 09:31,TIDARC,buy,5,8.20,caf\u00e9\n"
            .getBytes(StandardCharsets.ISO_8859_1));
    BrokerTable table = BrokerTable.of(file);

    assertThat(FillMapping.guess(table).read(table).fills()).isEqualTo(1);
  }

  /** Whatever the fills, they are read to the cent as they were written. */
  @Test
  void fillsComeBackToTheCent() {
    SplittableRandom random = new SplittableRandom(9);
    for (int round = 0; round < 50; round++) {
      List<Fill> fills = new ArrayList<>();
      StringBuilder text = new StringBuilder("Date,Time,Symbol,Side,Shares,Exec Price,Fees\n");
      for (int i = 0; i < 40; i++) {
        long at = DayTime.FIRST + random.nextLong(16 * 3_600) * DayTime.SECOND;
        FillSide side = FillSide.values()[random.nextInt(4)];
        BigDecimal quantity = BigDecimal.valueOf(1 + random.nextLong(9_999_999), random.nextInt(4));
        BigDecimal price = BigDecimal.valueOf(1 + random.nextLong(99_999_999), 4);
        BigDecimal fee = BigDecimal.valueOf(random.nextLong(500_000), 6);
        fills.add(new Fill(at, "TIDARC", side, quantity, price, fee, "", ""));
        text.append(
            "3/12/2031,%s,TIDARC,%s,%s,%s,%s\n"
                .formatted(
                    DayTime.seconds(at),
                    side.word(),
                    quantity.toPlainString(),
                    price.toPlainString(),
                    fee.toPlainString()));
      }
      List<Fill> read = fills(text.toString());

      assertThat(read).containsExactlyInAnyOrderElementsOf(fills);
      assertThat(read).isSortedAccordingTo(Comparator.comparingLong(Fill::at));
    }
  }
}
