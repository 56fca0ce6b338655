package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.job.Progress;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SessionOfBarsTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 10);

  @TempDir Path folder;

  @BeforeEach
  void write() throws IOException {
    Files.writeString(
        folder.resolve("securities.csv"),
        """
        symbol,name,mic,cfi,sector,industry,country,shares_outstanding,float,float_as_of,shortable
        TIDARC,Tidal Arc,XNAS,ESVUFR,tidal power,,US,9000000,5000000,2031-01-02,yes
        KELPOR,Kelp Harbour,XNAS,ESVUFR,kelp foods,,US,9000000,5000000,2031-01-02,yes
        """);
    Files.createDirectories(folder.resolve("minutes"));
    Files.writeString(
        folder.resolve("minutes/2031-03-10.csv"),
        """
        symbol,time,open,high,low,close,volume
        TIDARC,09:30:00,10,11,9,10.8,1003
        TIDARC,09:31:00,10.8,10.8,10,10.1,2
        KELPOR,09:30:00,20,20,20,20,0
        """);
  }

  private DataFolder data() {
    return new DataFolder(folder, new ExchangeCalendar());
  }

  private Session session() {
    return data().session(DATE, Progress.NONE);
  }

  private static List<String> prints(EventTape tape) {
    return IntStream.range(0, tape.size())
        .mapToObj(
            i ->
                DayTime.minutes(tape.time(i))
                    + " "
                    + Price.text(tape.price(i))
                    + " "
                    + tape.shares(i))
        .toList();
  }

  @Test
  void eachBarIsToldAsPrintsThatMakeItAgain() {
    assertThat(prints(session().tape()))
        .containsExactly(
            "09:30 10.00 250",
            "09:30 9.00 250",
            "09:30 11.00 250",
            "09:30 10.80 253",
            "09:31 10.00 1",
            "09:31 10.10 1");
  }

  @Test
  void theMarketIsThatOfTheBars() {
    TapeReplay replay = new TapeReplay(session());
    replay.runTo(DayTime.of(9, 31) - 1);

    assertThat(replay.state(0).open()).isEqualTo(Price.of(10));
    assertThat(replay.state(0).dayHigh()).isEqualTo(Price.of(11));
    assertThat(replay.state(0).dayLow()).isEqualTo(Price.of(9));
    assertThat(replay.state(0).price()).isEqualTo(Price.of(10.8));
    assertThat(replay.state(0).volume()).isEqualTo(1_003);
  }

  @Test
  void suchASessionCanBeOpenedThoughNobodyRecordedIt() {
    assertThat(data().openDates()).containsExactly(DATE);
    assertThat(data().barDates()).containsExactly(DATE);
    assertThat(data().sessionDates()).isEmpty();
  }

  @Test
  void onceItIsRecordedThePrintsCount() throws IOException {
    assertThat(session().tape().size()).isEqualTo(6);
    Path recorded = Files.createDirectories(folder.resolve("sessions/2031-03-10"));
    Files.writeString(
        recorded.resolve("trades.csv"),
        "time,symbol,price,size,conditions,id\n09:30:00,TIDARC,10,100,regular,1\n");

    assertThat(prints(session().tape())).containsExactly("09:30 10.00 100");
    assertThat(data().barDates()).isEmpty();
  }
}
