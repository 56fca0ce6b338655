package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import kelvo.data.news.NewsPoller;
import kelvo.data.news.NewsSource;
import kelvo.news.Catalyst;
import kelvo.news.SourceKind;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.time.SessionHours;
import org.junit.jupiter.api.Test;

/** The poller of news sources against the simulated wire, over HTTP on loopback. */
class NewsPollerTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);

  private final AtomicLong moment = new AtomicLong(DayTime.of(7, 0));
  private final List<String> problems = new ArrayList<>();
  private final Session session =
      new Session(
          SessionHours.full(DATE),
          Phases.DEFAULT,
          List.of(),
          List.of(item("06:00", "Early tide"), item("08:00", "Late tide")),
          List.of(),
          new EventTape(0));

  private static Catalyst item(String at, String headline) {
    return new Catalyst(DayTime.parse(at), "Harbour Wire", headline, "A body.", List.of("TIDARC"));
  }

  private static NewsSource source(int port, String path) {
    return source(port, path, Duration.ofSeconds(30));
  }

  private static NewsSource source(int port, String path, Duration every) {
    return new NewsSource(
        "Harbour",
        SourceKind.COMPANY_RELEASE,
        URI.create("http://localhost:" + port + path),
        every);
  }

  private NewsPoller poller(NewsSource source) {
    return new NewsPoller(List.of(source), DATE, Set.of("TIDARC"), problems::add);
  }

  @Test
  void eachItemComesOnceWithTheNameAndKindOfItsSource() throws Exception {
    try (NewsServer server =
        new NewsServer(
            session, moment::get, new InetSocketAddress(InetAddress.getLoopbackAddress(), 0))) {
      NewsSource source = source(server.port(), "/atom");
      try (NewsPoller poller = poller(source)) {
        poller.ask(source);
        List<Catalyst> first = poller.take();
        poller.ask(source);
        List<Catalyst> again = poller.take();
        moment.set(DayTime.of(9, 0));
        poller.ask(source);

        assertThat(first).extracting(Catalyst::headline).containsExactly("Early tide");
        assertThat(first.getFirst().source()).isEqualTo("Harbour");
        assertThat(first.getFirst().kind()).isEqualTo(SourceKind.COMPANY_RELEASE);
        assertThat(again).isEmpty();
        assertThat(poller.take()).extracting(Catalyst::headline).containsExactly("Late tide");
        assertThat(problems).isEmpty();
      }
    }
  }

  @Test
  void theTagOfTheLastAnswerIsSentSoThatNothingNewCostsNothing() throws Exception {
    List<String> tags = new ArrayList<>();
    HttpServer server = HttpServer.create(new InetSocketAddress("localhost", 0), 0);
    server.createContext(
        "/",
        exchange -> {
          try (exchange) {
            tags.add(String.valueOf(exchange.getRequestHeaders().getFirst("If-None-Match")));
            byte[] body =
                "<rss version=\"2.0\"><channel><title>t</title></channel></rss>"
                    .getBytes(StandardCharsets.UTF_8);
            exchange.getResponseHeaders().set("ETag", "\"one\"");
            exchange.sendResponseHeaders(200, body.length);
            exchange.getResponseBody().write(body);
          }
        });
    server.start();
    NewsSource source = source(server.getAddress().getPort(), "/");
    try (NewsPoller poller = poller(source)) {
      poller.ask(source);
      poller.ask(source);
    } finally {
      server.stop(0);
    }
    assertThat(tags).containsExactly("null", "\"one\"");
  }

  @Test
  void aSourceThatFailsIsNamedAndAskedRarerAndRarer() throws Exception {
    HttpServer server = HttpServer.create(new InetSocketAddress("localhost", 0), 0);
    server.createContext("/", exchange -> exchange.sendResponseHeaders(500, -1));
    server.start();
    NewsSource source = source(server.getAddress().getPort(), "/");
    try (NewsPoller poller = poller(source)) {
      poller.ask(source);
      poller.ask(source);
    } finally {
      server.stop(0);
    }
    assertThat(problems)
        .containsExactly(
            "news source Harbour: it answered with status 500; it is asked again in 60 s",
            "news source Harbour: it answered with status 500; it is asked again in 120 s");
  }

  @Test
  void aSourceIsAskedAgainThoughNobodyCanBeToldThatItFailed()
      throws IOException, InterruptedException {
    CountDownLatch asked = new CountDownLatch(3);
    AtomicInteger told = new AtomicInteger();
    HttpServer server = HttpServer.create(new InetSocketAddress("localhost", 0), 0);
    server.createContext(
        "/",
        exchange -> {
          asked.countDown();
          exchange.sendResponseHeaders(500, -1);
        });
    server.start();
    NewsSource source = source(server.getAddress().getPort(), "/", Duration.ofMillis(5));
    try (NewsPoller poller =
        new NewsPoller(
            List.of(source),
            DATE,
            Set.of(),
            sentence -> {
              told.incrementAndGet();
              throw new IllegalStateException("the window is gone");
            })) {
      poller.start();

      assertThat(asked.await(20, TimeUnit.SECONDS)).as("asked three times").isTrue();
      assertThat(told.get()).isGreaterThanOrEqualTo(2);
    } finally {
      server.stop(0);
    }
  }

  @Test
  void anAnswerThatIsNoFeedIsToldAndItsItemsCountOnceItIsOne() throws Exception {
    AtomicInteger answers = new AtomicInteger();
    HttpServer server = HttpServer.create(new InetSocketAddress("localhost", 0), 0);
    server.createContext(
        "/",
        exchange -> {
          try (exchange) {
            String body =
                answers.getAndIncrement() == 0
                    ? "<html><body>Please sign in"
                    : "{\"version\":\"https://jsonfeed.org/version/1.1\",\"title\":\"t\",\"items\":[{\"id\":\"1\",\"title\":\"TIDARC"
                        + " wins a pier\",\"tags\":[\"TIDARC\"],"
                        + "\"date_published\":\"2031-03-12T06:30:00-04:00\"}]}";
            exchange.sendResponseHeaders(200, body.length());
            exchange.getResponseBody().write(body.getBytes(StandardCharsets.UTF_8));
          }
        });
    server.start();
    NewsSource source = source(server.getAddress().getPort(), "/");
    try (NewsPoller poller = poller(source)) {
      poller.ask(source);
      assertThat(problems).singleElement().asString().startsWith("news source Harbour: ");
      assertThat(poller.take()).isEmpty();

      poller.ask(source);
      assertThat(poller.take())
          .extracting(Catalyst::headline)
          .containsExactly("TIDARC wins a pier");
      assertThat(problems).hasSize(1);
    } finally {
      server.stop(0);
    }
  }
}
