package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import kelvo.data.feed.FeedAddress;
import kelvo.data.feed.FeedClient;
import kelvo.data.feed.FeedReader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Why there is no connection is said in one sentence with the way out. */
class ConnectionFailureTest {
  private record Told(FeedClient.Status status, String why) {}

  private final BlockingQueue<Told> told = new LinkedBlockingQueue<>();

  private final FeedClient.Listener listener =
      new FeedClient.Listener() {
        @Override
        public FeedReader session(LocalDate date) {
          throw new IllegalStateException("no session is wanted");
        }

        @Override
        public void status(FeedClient.Status status, String why) {
          told.add(new Told(status, why));
        }

        @Override
        public void fault(String sentence) {
          told.add(new Told(FeedClient.Status.STALE, sentence));
        }

        @Override
        public void trouble(String what, Throwable cause) {
          told.add(new Told(FeedClient.Status.STALE, what + ": " + cause));
        }
      };

  /** What is told first after that it is being connected. */
  private Told first(URI uri) throws InterruptedException {
    told.clear();
    FeedClient.Timeouts quick =
        new FeedClient.Timeouts(Duration.ofMillis(1), Duration.ofMillis(5), Duration.ofSeconds(9));
    try (FeedClient client =
        new FeedClient(new FeedAddress(uri, ""), 0, quick, listener, System::nanoTime)) {
      client.start();
      assertThat(told.poll(20, TimeUnit.SECONDS))
          .extracting(Told::status)
          .isEqualTo(FeedClient.Status.CONNECTING);
      Told first = told.poll(20, TimeUnit.SECONDS);
      assertThat(first).isNotNull();
      return first;
    }
  }

  /** Answers everybody with the same text and hangs up. */
  private static final class Answering implements AutoCloseable {
    final AtomicInteger answers = new AtomicInteger();
    private final ServerSocket server;
    private final Thread thread;

    Answering(String answer) throws IOException {
      server = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
      thread =
          Thread.ofVirtual()
              .start(
                  () -> {
                    try {
                      while (true) {
                        try (Socket client = server.accept();
                            OutputStream out = client.getOutputStream()) {
                          client.getInputStream().read(new byte[4_096]);
                          out.write(answer.getBytes(StandardCharsets.ISO_8859_1));
                          answers.incrementAndGet();
                        }
                      }
                    } catch (IOException e) {
                      // The end of the test.
                    }
                  });
    }

    URI uri(String scheme) {
      return URI.create(scheme + "://localhost:" + server.getLocalPort());
    }

    @Override
    public void close() throws IOException {
      server.close();
      thread.interrupt();
    }
  }

  private static String http(String status, String header) {
    return "HTTP/1.1 " + status + "\r\n" + header + "Content-Length: 0\r\n\r\n";
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          401 Unauthorized | '' | REFUSED | answers with the HTTP status 401; check the token
          403 Forbidden | '' | REFUSED | answers with the HTTP status 403; check the token
          302 Found | https://elsewhere.test/feed | REFUSED | leads elsewhere; name the feed's own address
          404 Not Found | '' | STALE | 404 and is no feed, or not yet; check host, port and path
          503 Busy | '' | STALE | 503 and is no feed, or not yet; check host, port and path
          """)
  void anAnswerThatIsNoFeedIsToldByItsStatus(
      String status, String location, FeedClient.Status expected, String words)
      throws IOException, InterruptedException {
    String header = location.isEmpty() ? "" : "Location: " + location + "\r\n";
    try (Answering server = new Answering(http(status, header))) {
      Told first = first(server.uri("ws"));

      assertThat(first.status()).isEqualTo(expected);
      assertThat(first.why()).contains(words).contains(location);
    }
  }

  @Test
  void whatIsNotEncryptedIsNamedWithTheSchemeToUse() throws IOException, InterruptedException {
    try (Answering server = new Answering(http("200 OK", ""))) {
      assertThat(first(server.uri("wss")).why()).contains("is not encrypted").contains("use ws://");
    }
  }

  @Test
  void whatSpeaksAnythingElseIsNoFeed() throws IOException, InterruptedException {
    try (Answering server = new Answering("\u0015\u0003\u0001 a record of TLS")) {
      assertThat(first(server.uri("ws")).why()).contains("is no feed").contains("use wss://");
    }
  }

  @Test
  void nobodyThereAndAnUnknownNameAreTwoThings() throws IOException, InterruptedException {
    int free;
    try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      free = taken.getLocalPort();
    }
    assertThat(first(URI.create("ws://localhost:" + free)).why())
        .isEqualTo("no feed at ws://localhost:" + free + "; start it, or check host and port");
    assertThat(first(URI.create("ws://nobody.invalid:1234")).why())
        .isEqualTo("the name nobody.invalid is not known; check the address");
  }

  /** A feed that is down for an hour must not fill the terminal. */
  @Test
  void theSameReasonIsToldOnceHoweverOftenItIsTried() throws IOException, InterruptedException {
    try (Answering server = new Answering(http("503 Busy", ""))) {
      FeedClient.Timeouts quick =
          new FeedClient.Timeouts(
              Duration.ofMillis(1), Duration.ofMillis(2), Duration.ofSeconds(9));
      try (FeedClient client =
          new FeedClient(
              new FeedAddress(server.uri("ws"), ""), 0, quick, listener, System::nanoTime)) {
        client.start();
        assertThat(told.poll(20, TimeUnit.SECONDS)).isNotNull();
        assertThat(told.poll(20, TimeUnit.SECONDS)).isNotNull();
        while (server.answers.get() < 30) {
          Thread.onSpinWait();
        }
        assertThat(told).isEmpty();
      }
    }
    assertThat(told).extracting(Told::status).containsExactly(FeedClient.Status.CLOSED);
  }
}
