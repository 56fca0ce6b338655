package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.field.FieldCatalogue;
import kelvo.job.Progress;
import kelvo.news.Catalyst;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.time.DayTime;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The Tuesday after a holiday Monday. The session before was on Friday, and the one before that
 * closed on Thursday at 16:00, a hundred hours before midnight.
 */
class NewsOverAWeekendTest {
  private static final LocalDate TUESDAY = LocalDate.of(2031, 1, 21);

  @TempDir Path folder;

  @BeforeEach
  void write() throws IOException {
    Files.createDirectories(folder.resolve("news"));
    Files.createDirectories(folder.resolve("sessions/" + TUESDAY));
    Files.writeString(
        folder.resolve("securities.csv"),
        "symbol,name,mic,cfi\nTIDARC,Tidal Arc,XNAS,ESVUFR\nGLASBX,Glass Box,XNAS,ESVUFR\n");
    Files.writeString(
        folder.resolve("daily.csv"),
        "symbol,date,open,high,low,close,volume\n"
            + "TIDARC,2031-01-17,8,8,8,8,1000\nGLASBX,2031-01-17,8,8,8,8,1000\n");
    Files.writeString(
        folder.resolve("sessions/" + TUESDAY + "/trades.csv"),
        "time,symbol,price,size,conditions,id\n"
            + "09:30:00,TIDARC,10,100,@,1\n09:30:01,GLASBX,10,100,@,2\n");
    Files.writeString(
        folder.resolve("news/wire.json"),
        "{\"version\":\"https://jsonfeed.org/version/1.1\",\"title\":\"Wire\",\"items\":["
            + item("TIDARC before the close", "TIDARC", "2031-01-16T15:59:00-05:00")
            + ","
            + item("TIDARC after the close", "TIDARC", "2031-01-16T16:30:00-05:00")
            + ","
            + item("GLASBX on the weekend", "GLASBX", "2031-01-18T11:00:00-05:00")
            + "]}");
  }

  private static String item(String title, String symbol, String at) {
    return "{\"id\":\""
        + title
        + "\",\"title\":\""
        + title
        + "\",\"tags\":[\""
        + symbol
        + "\"],\"date_published\":\""
        + at
        + "\"}";
  }

  private Session session() {
    return new DataFolder(folder, new ExchangeCalendar()).session(TUESDAY, Progress.NONE);
  }

  @Test
  void itemsAreKeptFromTheCloseOfTheSessionBeforeTheLast() {
    assertThat(session().catalysts())
        .extracting(Catalyst::headline)
        .containsExactly("TIDARC after the close", "GLASBX on the weekend");
  }

  /** Thursday's item came at 16:30:00: the bar of 16:29 had ended by then. Friday was 1-for-2. */
  @Test
  void theChangeSinceAnItemOfAnEarlierSessionIsFromThatSessionsMinuteBars() throws IOException {
    Files.createDirectories(folder.resolve("minutes"));
    Files.writeString(
        folder.resolve("minutes/2031-01-16.csv"),
        "symbol,time,open,high,low,close,volume,trades\n"
            + "TIDARC,16:20:00,3,3,3,3,100,1\nTIDARC,16:29:00,4,4,4,4,100,1\n"
            + "TIDARC,16:30:00,6,6,6,6,100,1\n");
    Files.writeString(
        folder.resolve("actions.csv"), "symbol,date,kind,ratio\nTIDARC,2031-01-17,split,0.5\n");
    Session session = session();
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(DayTime.of(9, 31));

    assertThat(changeSinceNews(session, replay, "TIDARC")).isEqualTo(25);
  }

  @Test
  void theEveningBeforeIsKnownWhereItWasRecorded() throws IOException {
    assertThat(beforehand("last evening volume", "TIDARC")).isNaN();
    Files.createDirectories(folder.resolve("minutes"));
    Files.writeString(
        folder.resolve("minutes/2031-01-17.csv"),
        "symbol,time,open,high,low,close,volume,trades\n"
            + "TIDARC,15:59:00,8,8,8,8,900,1\nTIDARC,16:00:00,8,8.4,8,8.4,300,1\n"
            + "TIDARC,19:10:00,9,9,9,9,200,1\n");

    assertThat(beforehand("last evening volume", "TIDARC")).isEqualTo(500);
    assertThat(beforehand("last evening change", "TIDARC")).isEqualTo(12.5);
    assertThat(beforehand("last evening volume", "GLASBX")).isZero();
    assertThat(beforehand("last evening change", "GLASBX")).isNaN();
  }

  private double beforehand(String field, String symbol) {
    Session session = session();
    return asked(session, new TapeReplay(session), field, symbol);
  }

  @Test
  void newsSinceTheCloseCountsWhateverDaysLieBetween() {
    Session session = session();
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(DayTime.of(9, 31));

    assertThat(asked(session, replay, "news since close", "GLASBX")).isEqualTo(1);
    assertThat(asked(session, replay, "news since close", "TIDARC")).as("before it").isZero();
    assertThat(asked(session, replay, "news since close (tone above 0.9)", "GLASBX")).isZero();
  }

  private static double asked(Session session, TapeReplay replay, String field, String symbol) {
    return FieldCatalogue.number(field)
        .bind(session)
        .at(replay.state(session.numberOf(symbol).orElseThrow()), DayTime.of(9, 31));
  }

  @Test
  void withoutMinuteBarsTheChangeSinceAnItemOfAnEarlierSessionIsUnknown() {
    Session session = session();
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(DayTime.of(9, 31));

    assertThat(changeSinceNews(session, replay, "TIDARC")).isNaN();
    assertThat(changeSinceNews(session, replay, "GLASBX")).isEqualTo(25);
  }

  private static double changeSinceNews(Session session, TapeReplay replay, String symbol) {
    return asked(session, replay, "change since news", symbol);
  }
}
