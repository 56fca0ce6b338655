package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.job.Progress;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class RowOrderTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);

  @TempDir Path folder;

  @BeforeEach
  void write() throws IOException {
    Files.createDirectories(folder.resolve("sessions/2031-03-12"));
    Files.writeString(
        folder.resolve("securities.csv"),
        "symbol,name,mic,cfi\nTIDARC,Tidal Arc,XNAS,ESVUFR\nKELPOR,Kelporium,XNAS,ESVUFR\n");
    Files.writeString(
        folder.resolve("sessions/2031-03-12/trades.csv"),
        """
        time,symbol,price,size,conditions,id,seq
        09:30:00,TIDARC,8.20,100,regular,1,922000001
        09:30:01,KELPOR,4.10,100,regular,1,923000001
        09:30:02,TIDARC,8.21,100,regular,3,92300000
        09:30:03,TIDARC,8.22,100,regular,2,924000001
        """);
  }

  private DataFolder read(boolean searching) {
    DataFolder data = new DataFolder(folder, new ExchangeCalendar());
    if (searching) {
      data.searching();
    }
    assertThat(data.session(DATE, Progress.NONE).tape().size()).as("every row counts").isEqualTo(4);
    return data;
  }

  @Test
  void orderThatGoesBackIsFound() {
    assertThat(read(true).faultSentences())
        .containsExactly(
            "sessions/2031-03-12/trades.csv, line 4, column seq: expected a number above 923000001, found \"92300000\"; the line counts all the same");
  }

  @Test
  void nobodyLooksForItUnlessAsked() {
    assertThat(read(false).faultSentences()).isEmpty();
  }
}
