package kelvo.cli;

import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.market.Session;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.sim.FeedServer;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/**
 * {@code kelvo sim}: serves the invented market as a live feed on loopback, or writes it as a data
 * folder.
 */
@Command(
    name = "sim",
    description =
        "Serves the invented market as a live feed on this machine, or writes it as a data folder.")
final class SimCommand implements Callable<Integer> {
  @Option(names = "--seed", paramLabel = "S", description = "another market for another number")
  long seed = DemoFolder.SEED;

  @Option(
      names = "--write",
      paramLabel = "FOLDER",
      description = "writes a data folder there and ends")
  @Nullable Path write;

  @Option(names = "--port", paramLabel = "P", description = "where to listen; ${DEFAULT-VALUE}")
  int port = 8731;

  @Option(
      names = "--speed",
      paramLabel = "N",
      description = "how many times faster than the day; 0 as fast as the client takes it")
  double speed = 1;

  @Option(
      names = "--from",
      paramLabel = "HH:MM",
      description = "the time of day at which it begins; ${DEFAULT-VALUE}")
  String from = "04:00";

  @Option(names = "--token", paramLabel = "T", description = "what clients must send")
  String token = "";

  @Option(
      names = "--folder",
      paramLabel = "FOLDER",
      description = "serves the newest session of a data folder instead of the demo's")
  @Nullable Path folder;

  /** Lets a test end the serving. */
  final CountDownLatch end = new CountDownLatch(1);

  @Override
  public Integer call() throws InterruptedException {
    if (write != null) {
      DemoFolder.write(write, DemoSize.DEMO, seed, new TextProgress("Writing " + write));
      return 0;
    }
    Session session = session();
    try (FeedServer server =
        new FeedServer(
            session,
            new InetSocketAddress(InetAddress.getLoopbackAddress(), port),
            token,
            null,
            DayTime.parse(from),
            speed,
            System::nanoTime)) {
      server.start();
      System.err.println(
          "Serving "
              + session.hours().date()
              + " at ws://localhost:"
              + server.port()
              + "; end it with Ctrl+C.");
      end.await();
    }
    return 0;
  }

  private Session session() {
    Path root = DemoData.root(folder);
    if (folder == null) {
      DemoData.ready(root, new TextProgress("Writing " + root));
    }
    DataFolder data = new DataFolder(root, new ExchangeCalendar());
    if (data.sessionDates().isEmpty()) {
      throw new DataAtFault(root + " has no session; name a folder that has one");
    }
    LocalDate newest = data.sessionDates().getLast();
    return data.session(newest, new TextProgress("Reading " + newest));
  }
}
