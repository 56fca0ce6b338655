package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.feed.FeedReader;
import kelvo.data.feed.FeedWriter;
import kelvo.data.feed.TapeSink;
import kelvo.data.folder.DataFolder;
import kelvo.job.Progress;
import kelvo.session.Session;
import kelvo.tape.EventTape;

/** The first events of a session, so that a test of the feed need not send a whole day. */
final class ShortSession {
  private ShortSession() {}

  /** The session of a demo's folder with so many of its events. */
  static Session of(Path folder, int events) throws IOException {
    Session whole =
        new DataFolder(folder, new ExchangeCalendar()).session(DemoSize.SESSION, Progress.NONE);
    Session begun = unplayed(whole);
    List<String> faults = new ArrayList<>();
    new FeedReader(DemoSize.SESSION, new TapeSink(begun, seq -> {}), faults::add)
        .frame(
            1,
            new ObjectMapper()
                .readTree(new FeedWriter(whole, List.of()).frame(1, 0, events))
                .get("e"));
    assertThat(faults).isEmpty();
    return begun;
  }

  /** A session of which nothing has been played. */
  static Session unplayed(Session session) {
    return new Session(
        session.hours(),
        session.phases(),
        session.securities(),
        List.of(),
        session.knownEvents(),
        new EventTape(session.securities().size()));
  }
}
