package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.TimeUnit;
import kelvo.data.feed.FeedAddress;
import kelvo.data.feed.FeedClient;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.time.SessionHours;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The feed over TLS, with certificates that the JDK's own tool makes. */
class EncryptedFeedTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);
  private static final String PASSWORD = "tide and wind";
  private static final Duration LONGEST = Duration.ofSeconds(20);

  @TempDir static Path folder;

  @BeforeAll
  static void makeCertificates() throws IOException, InterruptedException {
    make("feed");
    make("other");
  }

  private static void make(String name) throws IOException, InterruptedException {
    Path store = folder.resolve(name + ".p12");
    tool(
        "-genkeypair",
        "-alias",
        name,
        "-keyalg",
        "EC",
        "-dname",
        "CN=localhost",
        "-ext",
        "san=dns:localhost,ip:127.0.0.1",
        "-storetype",
        "PKCS12",
        "-keystore",
        store.toString(),
        "-storepass",
        PASSWORD);
    tool(
        "-exportcert",
        "-rfc",
        "-alias",
        name,
        "-keystore",
        store.toString(),
        "-storepass",
        PASSWORD,
        "-file",
        folder.resolve(name + ".pem").toString());
  }

  private static void tool(String... arguments) throws IOException, InterruptedException {
    List<String> command = new java.util.ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "keytool").toString());
    command.addAll(List.of(arguments));
    Process process =
        new ProcessBuilder(command)
            .redirectErrorStream(true)
            .redirectOutput(folder.resolve("keytool.txt").toFile())
            .start();
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(process.exitValue()).as(Files.readString(folder.resolve("keytool.txt"))).isZero();
  }

  private static FeedServer server() throws InterruptedException {
    Session session =
        new Session(
            SessionHours.full(DATE),
            Phases.DEFAULT,
            List.of(),
            List.of(),
            List.of(),
            new EventTape(0));
    FeedServer server =
        new FeedServer(
            session,
            List.of(),
            new InetSocketAddress(InetAddress.getLoopbackAddress(), 0),
            "secret",
            FeedCertificate.read(folder.resolve("feed.p12"), PASSWORD),
            DayTime.FIRST,
            FeedServer.AT_ONCE,
            System::nanoTime);
    server.start();
    return server;
  }

  private static URI uri(FeedServer server) {
    return URI.create("wss://localhost:" + server.port());
  }

  @Test
  void aClientThatTrustsTheCertificateIsServed() throws InterruptedException {
    try (FeedServer server = server()) {
      FeedAddress address = FeedAddress.trusting(uri(server), "secret", folder.resolve("feed.pem"));

      assertThat(FeedClient.sessionServed(address, LONGEST)).isEqualTo(DATE);
    }
  }

  @Test
  void aClientThatTrustsAnotherIsNot() throws InterruptedException {
    try (FeedServer server = server()) {
      FeedAddress address =
          FeedAddress.trusting(uri(server), "secret", folder.resolve("other.pem"));

      assertThatThrownBy(() -> FeedClient.sessionServed(address, LONGEST))
          .isInstanceOf(IllegalArgumentException.class)
          .hasMessageContaining("is not known to this machine; name its file with --trust");
    }
  }

  @Test
  void wrongFilesAndPasswordsAreNamed() {
    assertThatThrownBy(() -> FeedCertificate.read(folder.resolve("feed.p12"), "wrong"))
        .hasMessageContaining("feed.p12")
        .hasMessageContaining("password");
    assertThatThrownBy(
            () ->
                FeedAddress.trusting(
                    URI.create("wss://localhost:1"), "", folder.resolve("keytool.none")))
        .hasMessageContaining("keytool.none");
  }
}
