package kelvo.data.feed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** One bad number or text in a frame costs its event. */
class FrameJsonTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);

  /** 09:30 in New York. */
  private static final long OPEN_MS = 1_931_088_600_000L;

  private static final String GOOD = "[\"t\"," + OPEN_MS + ",\"TIDARC\",8.2,100,\"regular\",7]";

  @TempDir Path folder;

  /** Under short names, since the texts are not. */
  static Stream<Named<String>> bad() {
    String at = "[\"t\"," + OPEN_MS + ",";
    return Stream.of(
            at + "\"TIDARC\",1e99999999999,100,\"regular\",8]",
            at + "\"TIDARC\",1e999999999,100,\"regular\",8]",
            at + "\"TIDARC\",1e-999999999,100,\"regular\",8]",
            at + "\"TIDARC\",NaN,100,\"regular\",8]",
            at + "\"TIDARC\",-Infinity,100,\"regular\",8]",
            at + "\"TIDARC\",8.2," + "9".repeat(1_000_000) + ",\"regular\",8]",
            at + "\"" + "X".repeat(10_000_000) + "\",8.2,100,\"regular\",8]",
            "[\"n\",{\"time\":" + OPEN_MS + ",\"headline\":\"" + "x".repeat(3_000_000) + "\"}]",
            "[\"f\",{\"time\":"
                + OPEN_MS
                + ",\"symbol\":\"TIDARC\",\"side\":\"buy\",\"quantity\":1e999999999,\"price\":8}]")
        .map(text -> Named.of(text.substring(0, Math.min(60, text.length())), text));
  }

  @ParameterizedTest
  @MethodSource("bad")
  void theEventIsLeftOutAndTheRestOfItsFrameTaken(String bad) throws JsonProcessingException {
    JsonNode frame = FrameJson.read("{\"seq\":1,\"e\":[" + GOOD + "," + bad + "," + GOOD + "]}");
    List<String> faults = new ArrayList<>();

    try (SessionRecorder recorder = new SessionRecorder(folder, DATE)) {
      new FeedReader(DATE, recorder, faults::add).frame(1, frame.path("e"));
    }

    assertThat(folder.resolve("sessions/2031-03-12/trades.csv"))
        .content()
        .isEqualToNormalizingNewlines(
            """
            time,symbol,price,size,conditions,id,seq
            09:30:00.000,TIDARC,8.20,100,regular,7,1000000
            09:30:00.000,TIDARC,8.20,100,regular,7,1000001
            """);
    assertThat(faults).singleElement().asString().startsWith("frame 1, event 2: expected");
  }

  @Test
  void whatIsReadWithCareIsWhatIsReadWithout() throws JsonProcessingException {
    String event =
        "[\"q\",5,\"A\",null,12345678901234567890,1.50,true,{\"a\":[false,\"\\u00e9\"]}]";

    JsonNode careful = FrameJson.read("[" + event + ",NaN]");

    assertThat(careful.get(0)).isEqualTo(FrameJson.read(event));
    assertThat(careful.get(1).asText()).isEqualTo("NaN");
  }

  @ParameterizedTest
  @MethodSource("torn")
  void whatIsNoJsonIsStillRefused(String torn) {
    assertThatThrownBy(() -> FrameJson.read(torn)).isInstanceOf(JsonProcessingException.class);
  }

  static List<String> torn() {
    return List.of("{\"seq\":1,\"e\":[", "[1,", "{\"seq\" 1}", "nonsense", "[1e]");
  }
}
