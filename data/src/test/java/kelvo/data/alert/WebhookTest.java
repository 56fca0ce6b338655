package kelvo.data.alert;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import kelvo.alert.AlertEvent;
import kelvo.alert.Ring;
import kelvo.delivery.Channel;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WebhookTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);

  @TempDir Path folder;

  private record Got(String body, String signature) {}

  private final BlockingQueue<Got> got = new LinkedBlockingQueue<>();
  private final List<String> told = new CopyOnWriteArrayList<>();
  private final AtomicInteger refusals = new AtomicInteger();
  private HttpServer server;

  @BeforeEach
  void serve() throws IOException {
    server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    server.createContext("/rings", this::answer);
    server.setExecutor(Executors.newVirtualThreadPerTaskExecutor());
    server.start();
  }

  @AfterEach
  void stop() {
    server.stop(0);
  }

  private void answer(HttpExchange exchange) throws IOException {
    String body = new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
    boolean refused = refusals.getAndDecrement() > 0;
    if (!refused) {
      got.add(new Got(body, exchange.getRequestHeaders().getFirst(Webhook.SIGNATURE)));
    }
    exchange.sendResponseHeaders(refused ? 503 : 204, -1);
    exchange.close();
  }

  private Webhook webhook(Duration wait) {
    return webhook("/rings", wait);
  }

  private Webhook webhook(String path, Duration wait) {
    URI address = URI.create("http://127.0.0.1:" + server.getAddress().getPort() + path);
    return new Webhook(address, WebhookSecret.of("key"), told::add, attempt -> wait);
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private Got next() throws InterruptedException {
    Got next = got.poll(20, TimeUnit.SECONDS);
    assertThat(next).as("a message within 20 s; told: " + told).isNotNull();
    return next;
  }

  @Test
  void messagesComeInTheirOrderThoughTheFirstIsRefusedForAWhile() throws InterruptedException {
    refusals.set(3);
    try (Webhook webhook = webhook(Duration.ZERO)) {
      for (int i = 0; i < 5; i++) {
        webhook.send(bytes("message " + i));
      }
      for (int i = 0; i < 5; i++) {
        assertThat(next().body()).isEqualTo("message " + i);
      }
    }
    assertThat(told).contains("Webhook: the answer was 503; tried again in 0 s");
  }

  /** The example of HMAC_SHA256 in the article "HMAC" of Wikipedia, from memory. */
  @Test
  void aMessageIsSignedWithTheSecretWhichIsNeverSent() throws InterruptedException {
    try (Webhook webhook = webhook(Duration.ZERO)) {
      webhook.send(bytes("The quick brown fox jumps over the lazy dog"));
      assertThat(next().signature())
          .isEqualTo("sha256=f7bc83f430538424b13298e6aa6fb143ef4d59a14946175997479dbc2d1a3cd8");
    }
  }

  /** RFC 4231, test case 2. */
  @Test
  void theSignatureIsThatOfTheStandard() {
    assertThat(WebhookSecret.of("Jefe").sign(bytes("what do ya want for nothing?")))
        .isEqualTo("5bdcc146bf60754e6a042426089575c75a003f089d2739839dec58b964ec3843");
  }

  @Test
  void aMessageThatIsNeverTakenIsGivenUpAndTheNextFollows() throws InterruptedException {
    refusals.set(1);
    try (Webhook webhook = webhook(Duration.ofMinutes(11))) {
      webhook.send(bytes("lost"));
      webhook.send(bytes("kept"));
      assertThat(next().body()).isEqualTo("kept");
    }
    assertThat(told).contains("Webhook: given up after ten minutes; the answer was 503");
  }

  /** To a file or anywhere that the setting does not name. */
  @Test
  void aRedirectIsNotFollowed() throws InterruptedException {
    server.createContext(
        "/moved",
        exchange -> {
          exchange.getRequestBody().readAllBytes();
          exchange.getResponseHeaders().add("Location", "/rings");
          exchange.sendResponseHeaders(307, -1);
          exchange.close();
        });
    try (Webhook webhook = webhook("/moved", Duration.ofMinutes(11))) {
      webhook.send(bytes("kept from others"));
      while (told.isEmpty()) {
        Thread.onSpinWait();
      }
    }
    assertThat(told).containsExactly("Webhook: given up after ten minutes; the answer was 307");
    assertThat(got).isEmpty();
  }

  /** It has answered, and goes on talking until its connection is closed. */
  @Test
  void aServerThatNeverEndsItsAnswerHoldsNothingUp() throws InterruptedException {
    CountDownLatch over = new CountDownLatch(1);
    server.createContext(
        "/endless",
        exchange -> {
          String body =
              new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
          got.add(new Got(body, ""));
          exchange.sendResponseHeaders(200, 0);
          exchange.getResponseBody().write('.');
          exchange.getResponseBody().flush();
          try {
            over.await();
          } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
          }
        });
    try (Webhook webhook = webhook("/endless", Duration.ZERO)) {
      webhook.send(bytes("first"));
      webhook.send(bytes("second"));
      assertThat(next().body()).isEqualTo("first");
      assertThat(next().body()).isEqualTo("second");
    } finally {
      over.countDown();
    }
  }

  @Test
  void whatGoesWrongOnItsThreadIsTold() throws InterruptedException {
    BlockingQueue<String> said = new LinkedBlockingQueue<>();
    try (Webhook webhook = new Webhook(URI.create("nowhere"), WebhookSecret.of("key"), said::add)) {
      webhook.send(bytes("lost"));
      assertThat(said.poll(20, TimeUnit.SECONDS))
          .startsWith("Webhook: nothing is sent any more")
          .endsWith("open the day again");
    }
  }

  @Test
  void waitsDoubleUpToAMinute() {
    assertThat(Webhook.usualWait(1)).isEqualTo(Duration.ofSeconds(1));
    assertThat(Webhook.usualWait(4)).isEqualTo(Duration.ofSeconds(8));
    assertThat(Webhook.usualWait(30)).isEqualTo(Duration.ofSeconds(60));
  }

  @Test
  void theSecretIsMadeOnceAndOnlyItsOwnerReadsIt() throws IOException {
    String signed = WebhookSecret.in(folder, told::add).sign(bytes("a"));

    Path file = folder.resolve(WebhookSecret.FILE);
    assertThat(WebhookSecret.in(folder, told::add).sign(bytes("a"))).isEqualTo(signed);
    assertThat(Files.readString(file).strip()).hasSize(64);
    assertThat(WebhookSecret.in(folder, told::add)).hasToString("a secret");
    if (Files.getFileStore(file).supportsFileAttributeView("posix")) {
      assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
          .isEqualTo("rw-------");
    }
  }

  @Test
  void anEmptySecretIsToldKeptAsideAndMadeAnew() throws IOException {
    Files.writeString(folder.resolve(WebhookSecret.FILE), "\n");
    assertThat(WebhookSecret.problem(folder).orElseThrow()).contains("expected a secret");

    assertThat(WebhookSecret.in(folder, told::add).sign(bytes("a"))).hasSize(64);

    assertThat(told)
        .containsExactly(
            "webhook.secret could not be read and is kept as webhook.secret.unreadable; give the"
                + " new one in its place to whoever receives the messages");
    assertThat(WebhookSecret.problem(folder)).isEmpty();
  }

  @Test
  void aRingIsToldWithItsTimeInNewYorkAndWhatIsKnown() throws IOException {
    AlertEvent event =
        new AlertEvent(
            DayTime.of(9, 41),
            7,
            "KELPOR",
            AlertEvent.Kind.ALERT,
            "KELPOR rises through 8.20",
            "rises through 8.20",
            Side.UP,
            82_100,
            2.5,
            Double.NaN,
            1e6,
            "");
    JsonNode json =
        new ObjectMapper()
            .readTree(
                WebhookMessage.of(
                    new Ring(
                        event,
                        Ring.Rank.WATCHED,
                        true,
                        Ring.Outcome.RINGS,
                        0.5,
                        Set.of(Channel.WEBHOOK)),
                    DATE));

    assertThat(json.path("alert").asText()).isEqualTo("KELPOR rises through 8.20");
    assertThat(json.path("symbol").asText()).isEqualTo("KELPOR");
    assertThat(json.path("time").asText()).isEqualTo("2031-03-12T09:41:00-04:00");
    assertThat(json.path("price").asText()).isEqualTo("8.21");
    assertThat(json.path("sentence").asText()).isEqualTo("KELPOR rises through 8.20");
    assertThat(json.path("fields").path("range ratio").asDouble()).isEqualTo(2.5);
    assertThat(json.path("fields").has("volume burst")).isFalse();
  }
}
