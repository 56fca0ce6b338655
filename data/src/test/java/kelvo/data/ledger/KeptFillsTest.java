package kelvo.data.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.journal.DayBook;
import kelvo.time.DayTime;
import kelvo.trade.CostMethod;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;
import kelvo.trade.RoundTrips;
import kelvo.trade.Trade;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is held in the morning, wherever the fills of earlier days are kept. */
class KeptFillsTest {
  private static final LocalDate TUESDAY = LocalDate.of(2031, 3, 11);
  private static final LocalDate MONDAY = TUESDAY.minusDays(1);
  private static final String HEADER = "time,symbol,side,quantity,price,fee,account,order_id\n";

  @TempDir Path folder;

  private void write(String file, String text) throws IOException {
    Path path = folder.resolve(file);
    Files.createDirectories(path.getParent());
    Files.writeString(path, text);
  }

  private DayBook book(Ledger ledger) {
    return KeptFills.of(ledger, new DataFolder(folder, new ExchangeCalendar()), TUESDAY);
  }

  /**
   * 100 in the folder's file, 50 with Monday's feed, 25 in the ledger; the first ones split 2:1.
   */
  @Test
  void theFolderTheFeedAndTheLedgerAreOneRecord() throws IOException {
    write("securities.csv", "symbol,name,mic,cfi\nTIDARC,Tidal Arc,XNAS,ESVUFR\n");
    write("actions.csv", "symbol,date,kind,ratio\nTIDARC," + TUESDAY + ",split,2\n");
    write(
        "fills.csv",
        HEADER
            + MONDAY
            + "T10:00:00-04:00,TIDARC,buy,100,10,0,main,A\n"
            + TUESDAY
            + "T10:00:00-04:00,TIDARC,sell,350,6,0,main,D\n");
    write("sessions/" + MONDAY + "/trades.csv", "time,symbol,price,size,conditions,id\n");
    write("sessions/" + MONDAY + "/fills.csv", HEADER + "11:00:00,TIDARC,buy,50,10,0,main,B\n");
    Fill kept =
        new Fill(
            DayTime.of(12, 0),
            "TIDARC",
            FillSide.BUY,
            new BigDecimal(25),
            BigDecimal.TEN,
            BigDecimal.ZERO,
            "main",
            "C");
    Fill also =
        new Fill(
            DayTime.of(10, 0),
            "TIDARC",
            FillSide.BUY,
            new BigDecimal(100),
            BigDecimal.TEN,
            BigDecimal.ZERO,
            "main",
            "A");
    try (Ledger ledger = Ledger.open(folder.resolve("ledger.sqlite"))) {
      ledger.addFills(MONDAY, List.of(kept, also));
      ledger.awaitSaved();
      DayBook book = book(ledger);

      assertThat(book.carried()).extracting(Fill::orderId).containsExactly("A", "B", "C");
      RoundTrips found =
          RoundTrips.of(book.tradedUntil(DayTime.LAST), CostMethod.FIRST_IN_FIRST_OUT);
      assertThat(found.beforeRecord()).isEmpty();
      assertThat(found.trades())
          .singleElement()
          .satisfies(trade -> assertThat(trade.closed()).isTrue())
          .extracting(Trade::result)
          .satisfies(result -> assertThat(result).isEqualByComparingTo("350"));
    }
  }
}
