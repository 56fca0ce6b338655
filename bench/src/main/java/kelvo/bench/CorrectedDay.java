package kelvo.bench;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.List;
import java.util.SplittableRandom;
import kelvo.data.feed.FeedReader;
import kelvo.data.feed.FeedWriter;
import kelvo.data.feed.TapeSink;
import kelvo.session.Session;
import kelvo.tape.EventTape;

/**
 * A session like another in which one event in a thousand corrects or cancels a print before it.
 */
final class CorrectedDay {
  private static final int EVENTS_BETWEEN = 1_000;

  private CorrectedDay() {}

  static Session of(Session session) throws IOException {
    Session made =
        new Session(
            session.hours(),
            session.phases(),
            session.securities(),
            List.of(),
            session.knownEvents(),
            new EventTape(session.securities().size()));
    FeedReader reader =
        new FeedReader(
            session.hours().date(),
            new TapeSink(made, seq -> {}),
            fault -> {
              throw new IllegalStateException(fault);
            });
    FeedWriter writer = new FeedWriter(session, List.of());
    ObjectMapper json = new ObjectMapper();
    SplittableRandom random = new SplittableRandom(20_310_312);
    EventTape tape = made.tape();
    int events = session.tape().size();
    for (int from = 0; from < events; from += EVENTS_BETWEEN) {
      String frame = writer.frame(1 + from, from, Math.min(events, from + EVENTS_BETWEEN));
      reader.frame(1 + from, json.readTree(frame).get("e"));
      int print = tape.size() - 1 - random.nextInt(tape.size());
      if (tape.isTrade(print) && tape.id(print) != 0) {
        correct(tape, print, random.nextBoolean());
      }
    }
    return made;
  }

  private static void correct(EventTape tape, int print, boolean cancels) {
    long now = tape.time(tape.size() - 1);
    if (cancels) {
      tape.cancel(now, tape.symbol(print), tape.id(print));
    } else {
      tape.correct(now, tape.symbol(print), tape.id(print), tape.price(print), 1);
    }
  }
}
