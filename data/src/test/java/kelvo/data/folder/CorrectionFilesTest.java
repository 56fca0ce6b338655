package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.fault.Fault;
import kelvo.job.Progress;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.time.DayTime;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CorrectionFilesTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);

  @TempDir Path folder;

  @BeforeEach
  void aSession() throws IOException {
    Files.createDirectories(folder.resolve("sessions/2031-03-12"));
    write(
        "securities.csv",
        "symbol,name,mic,cfi,tier,motto\nTIDARC,Tidal Arc,XNAS,ESVUFR,1,steady\n");
    write(
        "sessions/2031-03-12/trades.csv",
        """
        time,symbol,price,size,conditions,id
        10:00:00,TIDARC,10,100,regular,a
        10:00:01,TIDARC,12,200,regular,b
        10:00:02,TIDARC,11,300,regular,7
        """);
  }

  private void write(String name, String text) throws IOException {
    Files.writeString(folder.resolve(name), text);
  }

  private SymbolState at(Session session, long moment) {
    TapeReplay engine = new TapeReplay(session);
    engine.runTo(moment);
    return engine.state(0);
  }

  @Test
  void cancelsAndCorrectionsCountFromTheirOwnTimeOn() throws IOException {
    write(
        "sessions/2031-03-12/corrections.csv",
        """
        time,symbol,id,action,price,size
        10:01:00,TIDARC,b,cancel,,
        10:02:00,TIDARC,7,correct,9.5,50
        10:03:00,TIDARC,nobody,cancel,,
        10:04:00,TIDARC,a,undo,,
        """);
    DataFolder data = new DataFolder(folder, new ExchangeCalendar());
    Session session = data.session(DATE, Progress.NONE);

    assertThat(at(session, DayTime.of(10, 0) + 30 * DayTime.SECOND).dayHigh()).isEqualTo(120_000);
    SymbolState cancelled = at(session, DayTime.of(10, 1));
    assertThat(cancelled.dayHigh()).isEqualTo(110_000);
    assertThat(cancelled.volume()).isEqualTo(400);
    SymbolState corrected = at(session, DayTime.of(10, 2));
    assertThat(corrected.price()).isEqualTo(95_000);
    assertThat(corrected.dayHigh()).isEqualTo(100_000);
    assertThat(corrected.volume()).isEqualTo(150);
    assertThat(corrected.vwapFromOpen()).isCloseTo((100 * 10 + 50 * 9.5) / 150, within(1e-9));
    assertThat(data.faults()).extracting(Fault::line).containsExactly(4L, 5L);
  }

  @Test
  void imbalancesAndMentionsAreRead() throws IOException {
    write(
        "sessions/2031-03-12/imbalance.csv",
        "time,symbol,side,paired,imbalance,reference\n15:50:00,TIDARC,sell,1000,40000,10.5\n");
    write(
        "sessions/2031-03-12/mentions.csv",
        "time,symbol,count\n10:00:00,TIDARC,30\n11:30:00,TIDARC,12\n");
    DataFolder data = new DataFolder(folder, new ExchangeCalendar());
    Session session = data.session(DATE, Progress.NONE);
    SymbolState state = at(session, DayTime.of(15, 55));

    assertThat(state.imbalance()).isEqualTo(-40_000);
    assertThat(at(session, DayTime.of(10, 30)).mentions(DayTime.HOUR, DayTime.of(10, 30)))
        .isEqualTo(30);
    assertThat(at(session, DayTime.of(12, 0)).mentions(DayTime.HOUR, DayTime.of(12, 0)))
        .isEqualTo(12);
    assertThat(data.faults()).isEmpty();
  }

  @Test
  void furtherColumnsOfTheSecuritiesFileAreKept() {
    Session session = new DataFolder(folder, new ExchangeCalendar()).session(DATE, Progress.NONE);

    assertThat(session.security(0).security().tier()).isEqualTo(1);
    assertThat(session.security(0).security().extra()).containsEntry("motto", "steady");
  }

  @Test
  void idsThatAreNumbersStandForThemselves() {
    assertThat(PrintIds.of("42")).isEqualTo(42);
    assertThat(PrintIds.of("")).isZero();
    assertThat(PrintIds.of("a")).isNegative().isNotEqualTo(PrintIds.of("b"));
  }
}
