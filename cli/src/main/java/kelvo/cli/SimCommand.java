package kelvo.cli;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.refusal.RefusedException;
import kelvo.session.Session;
import kelvo.sim.BrokerFile;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.sim.EveOfSession;
import kelvo.sim.FeedCertificate;
import kelvo.sim.FeedServer;
import kelvo.sim.NewsServer;
import kelvo.sim.SimulatedBroker;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
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
  private final Terminal terminal;

  SimCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Option(names = "--seed", paramLabel = "S", description = "another market for another number")
  long seed = DemoFolder.SEED;

  @Option(
      names = "--write",
      paramLabel = "FOLDER",
      description = "writes a data folder there and ends")
  @Nullable Path write;

  @Option(
      names = "--history",
      description =
          "with --write: twenty earlier sessions with all minute bars, the newest five with"
              + " prints too, instead of the demo's sixty")
  boolean history;

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

  @Mixin final Token token = new Token();

  @Option(
      names = "--folder",
      paramLabel = "FOLDER",
      description =
          "serves the newest session of a data folder instead of the invented market of 8,000")
  @Nullable Path folder;

  @Option(
      names = "--address",
      paramLabel = "HOST",
      description =
          "where the feed listens; anywhere but on this machine only with a token and a certificate")
  String host = "localhost";

  @Option(
      names = "--certificate",
      paramLabel = "FILE",
      description = "a PKCS 12 file with which the feed is encrypted")
  @Nullable Path certificate;

  @Option(
      names = "--certificate-password",
      paramLabel = "P",
      description = "its password",
      interactive = true,
      arity = "0..1")
  String certificatePassword = "";

  @Option(
      names = "--news-port",
      paramLabel = "P",
      description = "where the news wire serves RSS and Atom; ${DEFAULT-VALUE}")
  int newsPort = 8733;

  @Option(
      names = "--fix-port",
      paramLabel = "P",
      description = "where the broker's FIX drop copy listens; ${DEFAULT-VALUE}")
  int fixPort = 8732;

  @Option(
      names = "--fills",
      paramLabel = "FILE",
      description =
          "a new file to which the broker adds its fills as CSV, when their time has come")
  @Nullable Path fills;

  @Option(
      names = "--prepare",
      paramLabel = "FOLDER",
      description = "first writes there what is known before the session, for kelvo live --data")
  @Nullable Path prepare;

  private static final int PRINT_SESSIONS = 5;
  private static final int MINUTE_SESSIONS = 20;

  /** The port of the feed, once it is served. */
  final CompletableFuture<Integer> serving = new CompletableFuture<>();

  /** Lets a test end the serving. */
  final CountDownLatch end = new CountDownLatch(1);

  @Override
  public Integer call() throws InterruptedException, IOException {
    if (write != null) {
      DemoSize size =
          history
              ? DemoSize.DEMO.withHistory(PRINT_SESSIONS, MINUTE_SESSIONS).withBars(0)
              : DemoSize.DEMO;
      DemoFolder.write(write, size, seed, new TextProgress(terminal, "Writing " + write));
      return 0;
    }
    // Before a market of some minutes is written for nothing.
    InetSocketAddress address = address();
    Path root = folder == null ? DemoData.market() : folder;
    if (folder == null) {
      DemoData.ready(root, DemoSize.MARKET, seed, new TextProgress(terminal, "Writing " + root));
    }
    DataFolder data = new DataFolder(root, new ExchangeCalendar());
    if (data.sessionDates().isEmpty()) {
      throw new DataAtFault(root + " has no session; name a folder that has one");
    }
    LocalDate date = data.sessionDates().getLast();
    if (prepare != null) {
      EveOfSession.write(root, prepare);
      terminal.err().println("What is known before the session is in " + prepare + ".");
    }
    Session session = data.session(date, new TextProgress(terminal, "Reading " + date));
    serve(session, data.fills(date), address);
    return 0;
  }

  /** Where the feed listens. */
  private InetSocketAddress address() {
    InetSocketAddress address = new InetSocketAddress(host, port);
    if (address.isUnresolved()) {
      throw new RefusedException(
          "the name " + host + " is not known; give --address a name or number of this machine");
    }
    return address;
  }

  private void serve(Session session, List<Fill> known, InetSocketAddress address)
      throws InterruptedException, IOException {
    LocalDate date = session.hours().date();
    try (FeedServer server =
            new FeedServer(
                session,
                known,
                address,
                token.text(),
                certificate == null ? null : FeedCertificate.read(certificate, certificatePassword),
                DayTime.parse(from),
                speed,
                System::nanoTime);
        NewsServer news = new NewsServer(session, server::moment, loopback(newsPort));
        SimulatedBroker broker = new SimulatedBroker(loopback(fixPort), date, known);
        BrokerFile file = new BrokerFile(fills, date)) {
      server.start();
      broker.start();
      terminal
          .err()
          .println(
              "Serving "
                  + date
                  + (certificate == null ? " at ws://" : " at wss://")
                  + host
                  + ":"
                  + server.port()
                  + ", its news at http://localhost:"
                  + news.port()
                  + "/rss and /atom, the broker's drop copy at localhost:"
                  + broker.address().getPort()
                  + "; end it with Ctrl+C.");
      serving.complete(server.port());
      while (!end.await(1, TimeUnit.SECONDS)) {
        file.append(broker.tellUntil(server.moment()));
      }
    }
  }

  private static InetSocketAddress loopback(int port) {
    return new InetSocketAddress(InetAddress.getLoopbackAddress(), port);
  }
}
