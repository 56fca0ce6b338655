package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.field.FieldCatalogue;
import kelvo.job.Progress;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Relative volume counts in today's shares, and only sessions that a security was listed in. */
class RelativeVolumeTest {
  private static final LocalDate SESSION = LocalDate.of(2031, 3, 12);
  private static final long TEN = DayTime.of(10, 0);

  @TempDir Path folder;
  private final ExchangeCalendar calendar = new ExchangeCalendar();

  /** The full sessions before the session, the newest first. */
  private List<LocalDate> before(int count) {
    List<LocalDate> dates = new ArrayList<>();
    for (LocalDate date = SESSION.minusDays(1); dates.size() < count; date = date.minusDays(1)) {
      if (calendar.hours(date).kind() == SessionHours.Kind.FULL) {
        dates.add(date);
      }
    }
    return dates;
  }

  private void write(String file, String header, List<String> rows) throws IOException {
    Path path = folder.resolve(file);
    Files.createDirectories(path.getParent());
    Files.writeString(path, header + "\n" + String.join("\n", rows) + "\n");
  }

  /**
   * Twenty sessions in which one security trades 2M shares by 10:00 each; another one listed five
   * days ago trades 1M. Today either has 1M by 10:00.
   */
  @BeforeEach
  void write() throws IOException {
    write(
        "securities.csv",
        "symbol,name,mic,cfi",
        List.of("TIDARC,Tidal Arc,XNAS,ESVUFR", "GLASBX,Glass Box,XNAS,ESVUFR"));
    List<String> daily = new ArrayList<>();
    List<LocalDate> dates = before(20);
    for (int i = 0; i < dates.size(); i++) {
      daily.add("TIDARC," + dates.get(i) + ",1,1,1,1,9000000");
      List<String> minutes = new ArrayList<>();
      minutes.add("TIDARC,09:45:00,1,1,1,1,2000000,900");
      if (i < 5) {
        daily.add("GLASBX," + dates.get(i) + ",8,8,8,8,4000000");
        minutes.add("GLASBX,09:45:00,8,8,8,8,1000000,900");
      }
      write(
          "minutes/" + dates.get(i) + ".csv",
          "symbol,time,open,high,low,close,volume,trades",
          minutes);
    }
    write("daily.csv", "symbol,date,open,high,low,close,volume", daily);
    write(
        "sessions/" + SESSION + "/trades.csv",
        "time,symbol,price,size,conditions,id",
        List.of("09:50:00,TIDARC,20,1000000,@,1", "09:50:00,GLASBX,8,1000000,@,2"));
  }

  private double at(long moment, String field, int security) {
    Session session = new DataFolder(folder, calendar).session(SESSION, Progress.NONE);
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(moment);
    return FieldCatalogue.number(field).bind(session).at(replay.state(security), moment);
  }

  @Test
  void historyIsInTodaysShares() throws IOException {
    assertThat(at(TEN, "relative volume", 0)).isEqualTo(0.5);
    write("actions.csv", "symbol,date,kind,ratio", List.of("TIDARC," + SESSION + ",split,0.05"));

    assertThat(at(TEN, "relative volume", 0)).isCloseTo(10, within(1e-9));
  }

  @Test
  void aSplitAmidTheHistoryCountsForTheDaysBeforeIt() throws IOException {
    LocalDate tenth = before(20).get(9);
    write("actions.csv", "symbol,date,kind,ratio", List.of("TIDARC," + tenth + ",split,2"));

    // Ten sessions of 2M and ten of 4M of today's shares: 3M.
    assertThat(at(TEN, "relative volume", 0)).isCloseTo(1 / 3.0, within(1e-9));
  }

  @Test
  void aSecurityListedFiveDaysAgoHasNoUsualDay() {
    assertThat(at(TEN, "relative volume", 1)).isNaN();
    assertThat(at(TEN, "volume burst", 1)).isNaN();
  }

  @Test
  void aSecurityListedTwelveDaysAgoIsHeldAgainstThose() throws IOException {
    List<LocalDate> dates = before(20);
    List<String> daily = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      daily.add("GLASBX," + dates.get(i) + ",8,8,8,8,4000000");
      write(
          "minutes/" + dates.get(i) + ".csv",
          "symbol,time,open,high,low,close,volume,trades",
          List.of("GLASBX,09:45:00,8,8,8,8,500000,900"));
    }
    // Another company had the symbol before.
    write(
        "minutes/" + dates.get(15) + ".csv",
        "symbol,time,open,high,low,close,volume,trades",
        List.of("GLASBX,09:45:00,8,8,8,8,90000000,900"));
    write("daily.csv", "symbol,date,open,high,low,close,volume", daily);

    assertThat(at(TEN, "relative volume", 1)).isCloseTo(2, within(1e-9));
  }
}
