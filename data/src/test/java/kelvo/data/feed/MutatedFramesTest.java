package kelvo.data.feed;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.LocalDate;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicInteger;
import kelvo.market.DailyHistory;
import kelvo.market.EventTape;
import kelvo.market.Security;
import kelvo.market.SecurityFacts;
import kelvo.market.SecurityKind;
import kelvo.market.Session;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.time.SessionHours;
import org.junit.jupiter.api.Test;

/** Frames with something wrong in them, seeded: the reader reports, keeps what is good, goes on. */
class MutatedFramesTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);
  private static final int FRAMES = 200_000;
  private static final String NOISE = "0123456789.,:-+eE{}[]\"tqsximnfb null\u00e9\u0000";

  private final SplittableRandom random = new SplittableRandom(5);
  private final long ms = DATE.atTime(10, 0).atZone(DayTime.NEW_YORK).toInstant().toEpochMilli();

  private static Session session() {
    Security security =
        new Security(
            "TIDARC",
            "Tidal Arc",
            "XNAS",
            SecurityKind.COMMON_STOCK,
            "",
            "",
            "",
            1,
            1,
            null,
            null,
            false);
    return new Session(
        SessionHours.full(DATE),
        Phases.USUAL,
        List.of(new SecurityFacts(security, DailyHistory.NONE, null, 1, 1)),
        List.of(),
        List.of(),
        new EventTape(1));
  }

  private String event() {
    long at = ms + random.nextInt(1_000_000);
    return switch (random.nextInt(7)) {
      case 0 -> "[\"q\",%d,\"TIDARC\",8.19,1,null,0]".formatted(at);
      case 1 -> "[\"s\",%d,\"TIDARC\",\"halted\",\"T1\"]".formatted(at);
      case 2 -> "[\"i\",%d,\"TIDARC\",\"buy\",1,2000,8.2]".formatted(at);
      case 3 -> "[\"m\",%d,\"TIDARC\",9]".formatted(at);
      case 4 ->
          "[\"n\",{\"time\":%d,\"headline\":\"TIDARC up\",\"symbols\":[\"TIDARC\"]}]".formatted(at);
      default -> "[\"t\",%d,\"TIDARC\",8.2,100,\"regular\",%d]".formatted(at, random.nextInt(99));
    };
  }

  private String mutated(String text) {
    StringBuilder changed = new StringBuilder(text);
    for (int n = random.nextInt(4); n > 0; n--) {
      int at = random.nextInt(changed.length());
      changed.setCharAt(at, NOISE.charAt(random.nextInt(NOISE.length())));
    }
    return changed.toString();
  }

  @Test
  void everyEventIsKeptOrReported() {
    AtomicInteger faults = new AtomicInteger();
    AtomicInteger done = new AtomicInteger();
    Session session = session();
    TapeSink sink = new TapeSink(session, seq -> done.incrementAndGet());
    FeedReader reader = new FeedReader(DATE, sink, sentence -> faults.incrementAndGet());
    int frames = 0;
    int good = 0;
    for (int i = 0; i < FRAMES; i++) {
      String first = event();
      String second = mutated(event());
      try {
        JsonNode events = FeedReader.parse("[" + first + "," + second + "]");
        if (events.isArray()) {
          frames++;
          good++;
          reader.frame(i, events);
        }
      } catch (JsonProcessingException e) {
        assertThat(e.getMessage()).isNotBlank();
      }
    }

    assertThat(frames).isGreaterThan(FRAMES / 4);
    assertThat(done.get()).isEqualTo(frames);
    assertThat(faults.get()).isGreaterThan(1_000);
    assertThat(session.tape().size()).isGreaterThanOrEqualTo(good);
  }
}
