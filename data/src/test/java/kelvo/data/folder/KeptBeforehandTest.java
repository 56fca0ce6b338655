package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.fault.Fault;
import kelvo.history.UsualDay;
import kelvo.job.Progress;
import kelvo.news.SourceKind;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is known before a session is the same out of columns, with the same faults. */
class KeptBeforehandTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);
  private static final long HALF_PAST_TEN = DayTime.of(10, 30);

  @TempDir Path folder;
  private DataFolder data;

  @BeforeEach
  void write() throws IOException {
    file(
        "securities.csv",
        "symbol,name,mic,cfi,sector,float,float_as_of,shortable,benchmark,tier,colour",
        "TIDARC,Tidal Arc,XNAS,ESVUFR,tidal power,14000000,2031-01-02,yes,no,1,blue",
        "GLASBX,Glass Box,XNYS,CEOIES,,,,,yes,,",
        "QUIETX,Quiet Works,XNYS,ESVUFR,,,,no,,2,",
        "TIDARC,Tidal Arc again,XNAS,ESVUFR,,,,,,,");
    file(
        "daily.csv",
        "symbol,date,open,high,low,close,volume",
        "TIDARC,2031-01-06,8,9,7,8.5,1000",
        "GLASBX,2031-03-06,20,21,19,20,500",
        "QUIETX,2031-01-06,8,9,7,8.5,1000");
    file("actions.csv", "symbol,date,kind,ratio", "TIDARC,2031-03-05,split,2");
    LocalDate day = DATE;
    for (int sessions = 0; sessions < 12; ) {
      day = day.minusDays(1);
      if (new ExchangeCalendar().hours(day).kind() == SessionHours.Kind.FULL) {
        minutes(day, 100 + sessions);
        sessions++;
      }
    }
    file(
        "news/wire.json",
        "{\"version\":\"https://jsonfeed.org/version/1.1\",\"title\":\"Wire\",\"items\":[",
        "{\"id\":\"1\",\"title\":\"Tidal Arc wins a contract &amp; more\",\"content_text\":\"Up.\","
            + "\"date_published\":\"2031-03-12T11:02:00Z\",\"tags\":[\"TIDARC\"]},",
        "{\"id\":\"2\",\"title\":\"Glass Box files\",\"date_published\":\"2031-03-10T15:00:00Z\","
            + "\"tags\":[\"GLASBX\",\"TIDARC\"]},",
        "{\"id\":\"3\",\"title\":\"No date\",\"tags\":[\"GLASBX\"]}]}");
    file("sources.json", "{\"sources\":[{\"name\":\"Wire\",\"kind\":\"paid promotion\"}]}");
    file("sessions/2031-03-12/trades.csv", "time,symbol,price,size,conditions,id");
  }

  private void minutes(LocalDate day, int volume) throws IOException {
    file(
        "minutes/" + day + ".csv",
        "symbol,time,open,high,low,close,volume,trades",
        "TIDARC,09:30:00,8,10,8,9," + volume + ",3",
        "TIDARC,10:45:00,8,10,8,9," + 2 * volume + ",4",
        "TIDARC,16:05:00,9,9.5,9,9.5,40,2",
        "GLASBX,10:00:00,20,20,20,20,5,1",
        "GLASBX,noon,20,20,20,20,5,1");
    file(
        "sessions/" + day + "/mentions.csv",
        "time,symbol,count",
        "09:00:00,TIDARC," + volume % 7,
        "09:01:00,GLASBX,many");
  }

  private Path file(String name, String... lines) throws IOException {
    Path path = folder.resolve(name);
    Files.createDirectories(path.getParent());
    return Files.writeString(path, String.join("\n", lines) + "\n");
  }

  private Session read() {
    data = new DataFolder(folder, new ExchangeCalendar());
    return data.session(DATE, Progress.NONE);
  }

  private static List<List<Double>> means(UsualDay usual) {
    return usual.upToMinute().stream()
        .map(own -> own == null ? List.<Double>of() : Arrays.stream(own).boxed().toList())
        .toList();
  }

  private static void assertSame(Session one, Session other) {
    assertThat(other.securities())
        .extracting("security")
        .isEqualTo(one.securities().stream().map(facts -> facts.security()).toList());
    assertThat(other.catalysts()).isEqualTo(one.catalysts());
    assertThat(means(other.earlier().volume())).isEqualTo(means(one.earlier().volume()));
    assertThat(means(other.earlier().trades())).isEqualTo(means(one.earlier().trades()));
    assertThat(means(other.earlier().mentions())).isEqualTo(means(one.earlier().mentions()));
    assertThat(other.earlier().vwaps()).isEqualTo(one.earlier().vwaps());
    assertThat(other.earlier().minutes()).isEqualTo(one.earlier().minutes());
  }

  @Test
  void theSecondReadingSaysTheSameWithTheSameFaults() {
    Session first = read();
    List<Fault> faults = data.faults();
    assertThat(faults).hasSize(1 + 1 + 12 + 12);
    assertThat(first.securities().getFirst().security().extra()).containsEntry("colour", "blue");
    assertThat(first.catalysts()).hasSize(2);
    assertThat(first.catalysts().getLast().kind()).isEqualTo(SourceKind.PAID_PROMOTION);
    assertThat(first.earlier().volume().meanUpTo(0, HALF_PAST_TEN)).isGreaterThan(100);
    assertThat(first.earlier().volume().meanUpTo(1, HALF_PAST_TEN)).isNaN();
    assertThat(first.earlier().volume().meanUpTo(2, HALF_PAST_TEN)).isZero();
    assertThat(first.earlier().minutes().evenings()).hasSize(3);
    assertThat(first.earlier().minutes().closes()).containsOnlyKeys(0, 1);

    assertSame(first, read());
    assertThat(data.faults()).isEqualTo(faults);
  }

  @Test
  void itComesFromTheColumnsAndNotFromTheTables() throws IOException {
    Session first = read();
    for (String name : List.of("securities.csv", "minutes/2031-03-11.csv", "news/wire.json")) {
      Path path = folder.resolve(name);
      FileTime time = Files.getLastModifiedTime(path);
      Files.writeString(path, Files.readString(path).replace("TIDARC", "GLASBX"));
      Files.setLastModifiedTime(path, time);
    }

    assertSame(first, read());
  }

  @Test
  void whatChangedSinceIsReadAgain() throws IOException {
    Session first = read();
    minutes(LocalDate.of(2031, 3, 11), 50_000);
    file(
        "news/more.json",
        "{\"version\":\"https://jsonfeed.org/version/1.1\",\"title\":\"Other\",\"items\":[",
        "{\"id\":\"9\",\"title\":\"Quiet Works recalls\",\"date_published\":"
            + "\"2031-03-12T12:00:00Z\",\"tags\":[\"QUIETX\"]}]}");
    Session then = read();

    assertThat(then.earlier().volume().meanUpTo(0, HALF_PAST_TEN))
        .isGreaterThan(first.earlier().volume().meanUpTo(0, HALF_PAST_TEN) + 1_000);
    assertThat(then.catalysts()).hasSize(3);

    file("actions.csv", "symbol,date,kind,ratio", "TIDARC,2031-03-05,split,10");
    assertThat(read().earlier().volume().meanUpTo(0, HALF_PAST_TEN))
        .isGreaterThan(then.earlier().volume().meanUpTo(0, HALF_PAST_TEN) + 100);
  }

  @Test
  void aFileOfOneMoreDayIsNoticed() throws IOException {
    double before = read().earlier().trades().meanUpTo(0, HALF_PAST_TEN);
    LocalDate day = LocalDate.of(2031, 2, 12);
    file(
        "minutes/" + day + ".csv",
        "symbol,time,open,high,low,close,volume,trades",
        "TIDARC,09:30:00,8,10,8,9,100,900");

    assertThat(read().earlier().trades().meanUpTo(0, HALF_PAST_TEN)).isGreaterThan(before + 10);
  }
}
