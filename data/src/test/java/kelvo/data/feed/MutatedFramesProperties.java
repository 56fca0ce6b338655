package kelvo.data.feed;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import kelvo.data.InventedSecurities;
import kelvo.data.Mutations;
import kelvo.history.DailyHistory;
import kelvo.session.Security;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.time.SessionHours;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.Tag;

/** Frames with something wrong in them, seeded: the reader reports, keeps what is good, goes on. */
class MutatedFramesProperties {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);
  private static final String NOISE = "0123456789.,:-+eE{}[]\"tqsximnfb null\u00e9\u0000";

  private static final int MAX = 3;
  private final long ms = DATE.atTime(10, 0).atZone(DayTime.NEW_YORK).toInstant().toEpochMilli();

  private static Session session() {
    Security security = InventedSecurities.named("TIDARC", "Tidal Arc");
    return new Session(
        SessionHours.full(DATE),
        Phases.DEFAULT,
        List.of(new SecurityFacts(security, DailyHistory.NONE, null, 1, 1)),
        List.of(),
        List.of(),
        new EventTape(1));
  }

  private String event(Random random) {
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

  /** A good event and one that is mutated. */
  private record Frame(String good, String mutated) {}

  @Provide
  Arbitrary<Frame> frames() {
    return Arbitraries.randomValue(
        random -> new Frame(event(random), Mutations.mutated(event(random), NOISE, MAX, random)));
  }

  private static final AtomicInteger FAULTS = new AtomicInteger();
  private static final AtomicInteger DONE = new AtomicInteger();
  private static final Session SESSION = session();
  private static final FeedReader READER =
      new FeedReader(
          DATE,
          new TapeSink(SESSION, seq -> DONE.incrementAndGet()),
          sentence -> FAULTS.incrementAndGet());
  private static int read;

  @Tag("proof")
  @Property(tries = 100_000, seed = "5")
  void theGoodEventIsKeptAndTheOtherIsKeptOrReportedAtLength(@ForAll("frames") Frame frame) {
    theGoodEventIsKeptAndTheOtherIsKeptOrReported(frame);
  }

  @Property(tries = 10_000, seed = "5")
  void theGoodEventIsKeptAndTheOtherIsKeptOrReported(@ForAll("frames") Frame frame) {
    JsonNode events;
    try {
      events = FrameJson.read("[" + frame.good() + "," + frame.mutated() + "]");
    } catch (JsonProcessingException e) {
      assertThat(e.getMessage()).isNotBlank();
      return;
    }
    int before = SESSION.tape().size() + FAULTS.get();
    READER.frame(read++, events);

    assertThat(DONE.get()).isEqualTo(read);
    int least = mayBeQuiet(frame.mutated()) ? 1 : 2;
    assertThat(SESSION.tape().size() + FAULTS.get()).isGreaterThanOrEqualTo(before + least);
  }

  /** A heartbeat is no event, and news that lost its symbols is news about nobody. */
  private static boolean mayBeQuiet(String event) {
    return event.contains("headline") || event.startsWith("[\"b\"");
  }
}
