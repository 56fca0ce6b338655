package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.job.Progress;
import kelvo.session.Session;
import kelvo.trade.Fill;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What stands in a table twice counts once, and is told by whoever reads it. */
class TwiceIsOnceTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);
  private static final String FILLS =
      "time,symbol,side,quantity,price,fee,account,order_id,execution_id\n";

  @TempDir Path folder;

  @BeforeEach
  void write() throws IOException {
    write("securities.csv", "symbol,name,mic,cfi\nTIDARC,Tidal Arc,XNAS,ESVUFR\n");
  }

  private void write(String name, String text) throws IOException {
    Path file = folder.resolve(name);
    Files.createDirectories(file.getParent());
    Files.writeString(file, text);
  }

  private DataFolder data() {
    return new DataFolder(folder, new ExchangeCalendar());
  }

  @Test
  void printsAndQuotesOfTheSameNumberOrId() throws IOException {
    write(
        "sessions/2031-03-12/trades.csv",
        """
        time,symbol,price,size,conditions,id,seq
        09:30:00,TIDARC,8.20,100,regular,7,1
        09:30:01,TIDARC,8.21,100,regular,8,3
        09:30:01,TIDARC,8.21,100,regular,8,3
        09:30:02,TIDARC,8.22,100,regular,7,5
        09:30:03,TIDARC,8.23,wrong,regular,9,6
        09:30:03,TIDARC,8.23,100,regular,9,6
        """);
    write(
        "sessions/2031-03-12/quotes.csv",
        """
        time,symbol,bid,bid_size,ask,ask_size,seq
        09:30:00,TIDARC,8.19,100,8.21,100,2
        09:30:01,TIDARC,8.20,100,8.22,100,4
        09:30:00,TIDARC,8.19,100,8.21,100,2
        """);
    DataFolder data = data();

    Session session = data.session(DATE, Progress.NONE);

    assertThat(session.tape().size()).isEqualTo(5);
    assertThat(data.faultSentences())
        .containsExactlyInAnyOrder(
            "sessions/2031-03-12/trades.csv, line 4, column seq: expected each number once, found"
                + " \"3\"; the line was left out",
            "sessions/2031-03-12/trades.csv, line 5, column id: expected each print of a security"
                + " once, found \"7\"; the line was left out",
            "sessions/2031-03-12/trades.csv, line 6, column size: expected a whole number, 0 or"
                + " above, found \"wrong\"; the line was left out",
            "sessions/2031-03-12/quotes.csv, line 4, column seq: expected each number once, found"
                + " \"2\"; the line was left out");
    DataFolder again = data();
    again.session(DATE, Progress.NONE);
    assertThat(again.faultSentences()).as("out of columns").isEqualTo(data.faultSentences());
  }

  @Test
  void minutesOfASecurity() throws IOException {
    String minutes =
        """
        time,symbol,open,high,low,close,volume,trades
        09:30,TIDARC,8.20,8.25,8.19,8.21,1000,10
        09:31,TIDARC,8.21,8.25,8.19,8.22,2000,20
        """;
    write("minutes/2031-03-11.csv", minutes + minutes.substring(minutes.indexOf('\n') + 1));
    DataFolder data = data();

    data.readAll();

    assertThat(data.faultSentences())
        .contains(
            "minutes/2031-03-11.csv, line 4, column time: expected each minute of a security once,"
                + " found \"TIDARC 09:30\"; the line was left out",
            "minutes/2031-03-11.csv, line 5, column time: expected each minute of a security once,"
                + " found \"TIDARC 09:31\"; the line was left out");
    assertThat(new MinuteFiles(folder, kept()).of(LocalDate.of(2031, 3, 11)))
        .hasValueSatisfying(read -> assertThat(read.volume().minutes().byteSize()).isEqualTo(4));
  }

  private KeptColumns kept() {
    return new KeptColumns(
        new kelvo.data.columns.Columns(folder), new kelvo.data.fault.Faults(), false);
  }

  private static String fill(String time, int shares, String execution) {
    return "2031-03-12T"
        + time
        + "-04:00,TIDARC,buy,"
        + shares
        + ",8.2,0,main,K1,"
        + execution
        + "\n";
  }

  private List<Integer> sharesOf(String text, List<String> told) throws IOException {
    write("fills.csv", FILLS + text);
    DataFolder data = data();
    List<Fill> fills = data.fills(DATE);
    told.clear();
    told.addAll(data.faultSentences());
    return fills.stream().map(fill -> fill.quantity().intValueExact()).toList();
  }

  @Test
  void fillsOfTheSameExecutionOrPastedTwice() throws IOException {
    List<String> told = new ArrayList<>();
    String day = fill("09:31:00", 100, "") + fill("09:32:00", 200, "") + fill("09:33:00", 300, "");

    assertThat(sharesOf(day + day, told)).as("the table twice").containsExactly(100, 200, 300);
    assertThat(told)
        .hasSize(3)
        .contains(
            "fills.csv, line 5: expected each fill once, and not the same rows again, found"
                + " \"09:31 TIDARC buy 100\"; the line was left out");
    assertThat(sharesOf(day + fill("09:32:00", 200, "") + fill("09:33:00", 300, ""), told))
        .as("its end again")
        .containsExactly(100, 200, 300);
    assertThat(sharesOf(fill("09:31:00", 100, "A") + fill("09:31:00", 100, "A"), told))
        .as("one execution")
        .containsExactly(100);
    assertThat(sharesOf(fill("09:31:00", 100, "A") + fill("09:31:00", 100, "B"), told))
        .as("two executions")
        .containsExactly(100, 100);
    assertThat(told).isEmpty();
  }

  @Test
  void twoEqualPartsOfAnOrderCountAndAreTold() throws IOException {
    List<String> told = new ArrayList<>();
    String part = fill("09:31:00", 100, "");

    assertThat(sharesOf(part + part + fill("09:32:00", 50, ""), told))
        .containsExactly(100, 100, 50);
    assertThat(told)
        .singleElement()
        .asString()
        .contains("an equal one is there before")
        .endsWith("the line counts all the same");
    String other = fill("09:31:00", 200, "");
    assertThat(sharesOf(part + other + part + other, told))
        .as("of one moment")
        .containsExactly(100, 200, 100, 200);
  }

  @Test
  void aFillOfTheFileThatTheFeedRecordedToo() throws IOException {
    write("fills.csv", FILLS + fill("09:31:00", 100, "") + fill("09:32:00", 200, ""));
    write(
        "sessions/2031-03-12/fills.csv",
        """
        time,symbol,side,quantity,price,fee,account,order_id,seq
        09:32:00,TIDARC,buy,200,8.2,0,main,K1,1
        09:33:00,TIDARC,buy,300,8.2,0,main,K1,2
        """);

    write("sessions/2031-03-12/trades.csv", "time,symbol,price,size,conditions,id\n");

    assertThat(data().fills(DATE))
        .extracting(fill -> fill.quantity().intValueExact())
        .containsExactly(100, 200, 300);
    assertThat(data().fillsBefore(DATE.plusDays(1)).get(DATE)).hasSize(3);
  }
}
