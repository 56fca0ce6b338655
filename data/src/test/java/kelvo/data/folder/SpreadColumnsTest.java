package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.concurrent.CancellationException;
import java.util.function.Predicate;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.job.Progress;
import kelvo.research.UsualSpreads;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SpreadColumnsTest {
  private static final LocalDate FIRST = LocalDate.of(2031, 3, 10);

  @TempDir Path folder;

  @BeforeEach
  void write() throws IOException {
    file("securities.csv", "symbol,name,mic,cfi", "TIDARC,Tidal Arc,XNAS,ESVUFR");
    session(FIRST, "10.02");
    session(FIRST.plusDays(1), "10.08");
    session(FIRST.plusDays(2), "10.04");
  }

  private void session(LocalDate date, String ask) throws IOException {
    file(
        "sessions/" + date + "/trades.csv",
        "time,symbol,price,size,conditions,id",
        "10:00:00.000,TIDARC,10.01,100,@,1");
    file(
        "sessions/" + date + "/quotes.csv",
        "time,symbol,bid,bid_size,ask,ask_size",
        "10:00:00.000,TIDARC,10.00,100," + ask + ",100");
  }

  private void file(String name, String... lines) throws IOException {
    Path path = folder.resolve(name);
    Files.createDirectories(path.getParent());
    Files.writeString(path, String.join("\n", lines) + "\n");
  }

  private double spread(Predicate<LocalDate> counts) {
    UsualSpreads usual =
        new DataFolder(folder, new ExchangeCalendar()).usualSpreads(counts, Progress.NONE);
    return Price.dollars(usual.assumed("TIDARC", DayTime.of(10, 30), Price.of(10)));
  }

  @Test
  void theSessionsThatCountMakeTheMedian() {
    assertThat(spread(date -> true)).isEqualTo(0.04);
    assertThat(spread(date -> !date.isAfter(FIRST))).isEqualTo(0.02);
    assertThat(spread(date -> date.isAfter(FIRST))).isEqualTo(0.04);
    assertThat(spread(date -> false)).isEqualTo(0.01);
  }

  @Test
  void eachSessionIsReadOnce() throws IOException {
    assertThat(spread(date -> true)).isEqualTo(0.04);
    Path quotes = folder.resolve("sessions/" + FIRST.plusDays(2) + "/quotes.csv");
    var time = Files.getLastModifiedTime(quotes);
    Files.writeString(quotes, Files.readString(quotes).replace("10.04", "10.06"));
    Files.setLastModifiedTime(quotes, time);
    assertThat(spread(date -> true)).isEqualTo(0.04);

    session(FIRST.plusDays(2), "10.060");
    assertThat(spread(date -> true)).isEqualTo(0.06);
  }

  @Test
  void readingThemCanBeStopped() {
    DataFolder data = new DataFolder(folder, new ExchangeCalendar());

    assertThatThrownBy(
            () ->
                data.usualSpreads(
                    date -> true,
                    part -> {
                      throw new CancellationException();
                    }))
        .isInstanceOf(CancellationException.class);
  }
}
