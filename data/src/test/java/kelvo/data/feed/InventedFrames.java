package kelvo.data.feed;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.time.LocalDate;
import java.util.Locale;
import kelvo.time.DayTime;

/** The frames of a feed that can be asked for again. */
final class InventedFrames {
  private InventedFrames() {}

  /** Events of every kind, the same for a number whoever asks. */
  static JsonNode events(LocalDate date, long seq) throws IOException {
    long at = date.atTime(9, 30).atZone(DayTime.NEW_YORK).toEpochSecond() * 1_000 + seq * 50;
    String text =
        String.format(
            Locale.ROOT,
            "[[\"t\",%1$d,\"TIDARC\",%2$d.25,%3$d,\"regular\",%4$d],"
                + "[\"q\",%1$d,\"TIDARC\",%2$d.24,100,%2$d.26,200],"
                + "[\"m\",%1$d,\"KELPOR\",%3$d]%5$s%6$s]",
            at,
            5 + seq % 7,
            1 + seq % 900,
            seq,
            seq % 40 == 3 ? ",[\"x\"," + at + ",\"TIDARC\"," + (seq - 1) + ",\"cancel\"]" : "",
            seq % 90 == 5
                ? ",[\"n\",{\"time\":"
                    + at
                    + ",\"source\":\"Wire\",\"headline\":\"Item "
                    + seq
                    + "\",\"body\":\"\",\"symbols\":[\"TIDARC\"]}]"
                : "");
    return new ObjectMapper().readTree(text);
  }
}
