package kelvo.cli;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.feed.FeedReader;
import kelvo.data.feed.FeedWriter;
import kelvo.data.feed.TapeSink;
import kelvo.data.folder.DataFolder;
import kelvo.job.Progress;
import kelvo.session.Session;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.sim.FeedServer;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;

/** A small invented day that a feed serves on loopback, as fast as its client takes it. */
final class ServedDay {
  private final Path folder;
  private final FeedServer server;

  /**
   * Writes the day and serves its first events.
   *
   * @param folder for the day and what is known of the securities before it
   */
  ServedDay(Path folder, int events) throws IOException, InterruptedException {
    this.folder = folder;
    DemoFolder.write(
        folder, new DemoSize(60, 30, 20_000, DemoSize.SESSION), DemoFolder.SEED, Progress.NONE);
    server =
        new FeedServer(
            firstEvents(
                new DataFolder(folder, new ExchangeCalendar())
                    .session(DemoSize.SESSION, Progress.NONE),
                events),
            List.of(),
            new InetSocketAddress(InetAddress.getLoopbackAddress(), 0),
            "",
            null,
            DayTime.FIRST,
            FeedServer.AT_ONCE,
            System::nanoTime);
    server.start();
  }

  private static Session firstEvents(Session whole, int events) throws IOException {
    Session begun =
        new Session(
            whole.hours(),
            whole.phases(),
            whole.securities(),
            List.of(),
            whole.knownEvents(),
            new EventTape(whole.securities().size()));
    String frame = new FeedWriter(whole, List.of()).frame(1, 0, events);
    new FeedReader(
            DemoSize.SESSION,
            new TapeSink(begun, seq -> {}),
            fault -> {
              throw new IllegalStateException(fault);
            })
        .frame(1, new ObjectMapper().readTree(frame).get("e"));
    return begun;
  }

  String address() {
    return "ws://localhost:" + server.port();
  }

  long frames() {
    return server.frames();
  }

  /**
   * Puts what is known before the day into another folder, to record the day there, and a scan that
   * hits often.
   */
  void prepare(Path other) throws IOException {
    Files.copy(folder.resolve("securities.csv"), other.resolve("securities.csv"));
    Files.createDirectories(other.resolve("scans"));
    Files.writeString(
        other.resolve("scans/highs.json"),
        """
        {"kelvo": 1, "name": "Highs", "window": ["04:00", "20:00"], "rules": ["price at least 1"],
         "triggers": ["new high of session"], "fold": "1s", "columns": ["price", "volume"]}
        """);
  }

  void end() throws InterruptedException {
    server.close();
  }
}
