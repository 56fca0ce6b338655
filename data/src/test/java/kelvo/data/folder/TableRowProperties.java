package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.SplittableRandom;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.job.Progress;
import kelvo.session.Session;
import kelvo.time.DayTime;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/**
 * Whatever happens to the bytes of a file, reading neither fails nor hangs, and counts what it left
 * out.
 */
class TableRowProperties {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);

  @Property(tries = 40)
  void mutatedLinesNeverStopTheReader(@ForAll long seed) throws IOException {
    Path folder = Files.createTempDirectory("kelvo");
    Files.createDirectories(folder.resolve("sessions/2031-03-12"));
    Files.writeString(
        folder.resolve("securities.csv"), "symbol,name,mic,cfi\nTIDARC,Tidal,XNAS,ESVUFR\n");
    int lines = 300;
    Files.write(
        folder.resolve("sessions/2031-03-12/trades.csv"),
        mutated(lines, new SplittableRandom(seed)));
    DataFolder data = new DataFolder(folder, new ExchangeCalendar());
    Session[] read = new Session[1];

    assertThatCode(() -> read[0] = data.session(DATE, Progress.NONE)).doesNotThrowAnyException();
    assertThat(read[0].tape().size()).isBetween(1, lines);
  }

  private static byte[] mutated(int lines, SplittableRandom random) {
    StringBuilder text =
        new StringBuilder(
            "time,symbol,price,size,conditions,id\n09:30:00,TIDARC,6.5,100,regular,0\n");
    for (int i = 1; i < lines; i++) {
      char[] line =
          (DayTime.millis(DayTime.of(9, 30) + i * DayTime.SECOND)
                  + ",TIDARC,6."
                  + (10 + i % 80)
                  + ",100,regular,"
                  + i)
              .toCharArray();
      if (random.nextInt(3) == 0) {
        line[random.nextInt(line.length)] = (char) random.nextInt(1, 0x2FF);
      }
      text.append(line).append('\n');
    }
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }
}
