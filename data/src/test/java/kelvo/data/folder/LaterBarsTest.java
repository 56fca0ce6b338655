package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Objects;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.history.DailyBar;
import kelvo.research.LaterDays;
import kelvo.research.LaterDays.Standing;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LaterBarsTest {
  /** A Thursday; the Monday after the weekend is Presidents Day, without a session. */
  private static final LocalDate DATE = LocalDate.of(2031, 2, 13);

  @TempDir Path folder;

  private LaterDays after() throws IOException {
    return before(LocalDate.MAX);
  }

  private LaterDays before(LocalDate day) throws IOException {
    Files.writeString(
        folder.resolve("securities.csv"),
        "symbol,name\nTIDARC,Tidal Arc\nKELPOR,Kelp Harbour\nDENBOT,Denbot\n");
    Files.writeString(
        folder.resolve("actions.csv"), "symbol,date,kind,ratio\nTIDARC,2031-02-18,split,0.1\n");
    Files.writeString(
        folder.resolve("daily.csv"),
        """
        symbol,date,open,high,low,close,volume
        TIDARC,2031-02-13,1,1.2,0.9,1.1,1000
        TIDARC,2031-02-14,1.1,1.3,1,1.2,1000
        TIDARC,2031-02-18,12,15,11,14,100
        KELPOR,2031-02-13,5,5,5,5,1000
        KELPOR,2031-02-14,4,4,3,3,1000
        DENBOT,2031-02-13,5,5,5,5,1000
        """);
    return new DataFolder(folder, new ExchangeCalendar()).research(day).after(DATE);
  }

  private static DailyBar bar(LaterDays.Later later) {
    return Objects.requireNonNull(later.bar());
  }

  @Test
  void laterPricesAreInTheSharesOfTheSession() throws IOException {
    LaterDays after = after();

    assertThat(after.of("TIDARC", 2).standing()).isEqualTo(Standing.TRADED);
    assertThat(bar(after.of("TIDARC", 2)).open()).isEqualTo(11_000);
    DailyBar third = bar(after.of("TIDARC", 3));
    assertThat(third.date()).isEqualTo(LocalDate.of(2031, 2, 18));
    assertThat(third.close()).isEqualTo(14_000);
    assertThat(third.volume()).isEqualTo(1_000);
  }

  @Test
  void whatHasNoBarWhileOthersHaveIsGone() throws IOException {
    LaterDays after = after();

    assertThat(after.of("KELPOR", 2).standing()).isEqualTo(Standing.TRADED);
    assertThat(after.of("KELPOR", 3).standing()).isEqualTo(Standing.GONE);
    assertThat(bar(after.of("KELPOR", 3)).close()).isEqualTo(30_000);
    assertThat(after.of("DENBOT", 2)).isEqualTo(new LaterDays.Later(Standing.GONE, null));
  }

  @Test
  void whereNobodysBarsReachNothingIsKnown() throws IOException {
    assertThat(after().of("TIDARC", 5)).isEqualTo(LaterDays.Later.UNKNOWN);
  }

  @Test
  void nothingIsToldOfTheDayThatIsOpenNorOfLaterOnes() throws IOException {
    LaterDays known = before(LocalDate.of(2031, 2, 18));

    assertThat(known.of("TIDARC", 2).standing()).isEqualTo(Standing.TRADED);
    assertThat(known.of("TIDARC", 3)).isEqualTo(LaterDays.Later.UNKNOWN);
    assertThat(known.of("KELPOR", 3)).isEqualTo(LaterDays.Later.UNKNOWN);
  }
}
