package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;

import com.rometools.rome.io.SyndFeedInput;
import java.io.IOException;
import java.io.StringReader;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import kelvo.news.Catalyst;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.time.SessionHours;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NewsServerTest {
  private final AtomicLong moment = new AtomicLong(DayTime.of(7, 0));
  private final Session session =
      new Session(
          SessionHours.full(LocalDate.of(2031, 3, 12)),
          Phases.DEFAULT,
          List.of(),
          List.of(item("06:00", "Early <b>tide</b> & wind"), item("08:00", "Late tide")),
          List.of(),
          new EventTape(0));

  private static Catalyst item(String at, String headline) {
    return new Catalyst(DayTime.parse(at), "Harbour Wire", headline, "A body.", List.of("TIDARC"));
  }

  private static HttpResponse<String> ask(NewsServer server, String path, String tag)
      throws IOException, InterruptedException {
    try (HttpClient client = HttpClient.newHttpClient()) {
      return client.send(
          HttpRequest.newBuilder(URI.create("http://localhost:" + server.port() + path))
              .header("If-None-Match", tag)
              .build(),
          HttpResponse.BodyHandlers.ofString());
    }
  }

  private NewsServer server() throws Exception {
    return new NewsServer(
        session, moment::get, new InetSocketAddress(InetAddress.getLoopbackAddress(), 0));
  }

  @ParameterizedTest
  @CsvSource({"/rss, rss_2.0", "/atom, atom_1.0"})
  void servesWhatHasBeenPublished(String path, String kind) throws Exception {
    try (NewsServer server = server()) {
      var feed = new SyndFeedInput().build(new StringReader(ask(server, path, "none").body()));

      assertThat(feed.getFeedType()).isEqualTo(kind);
      assertThat(feed.getEntries()).hasSize(1);
      var entry = feed.getEntries().getFirst();
      assertThat(entry.getTitle()).isEqualTo("Early <b>tide</b> & wind");
      assertThat(entry.getCategories().getFirst().getName()).isEqualTo("TIDARC");
      assertThat(entry.getPublishedDate().toInstant()).isEqualTo("2031-03-12T10:00:00Z");
    }
  }

  @Test
  void askingAgainCostsNothingUntilSomethingIsNew() throws Exception {
    try (NewsServer server = server()) {
      String tag = ask(server, "/rss", "none").headers().firstValue("ETag").orElseThrow();
      assertThat(ask(server, "/rss", tag).statusCode()).isEqualTo(304);
      moment.set(DayTime.of(9, 0));
      HttpResponse<String> later = ask(server, "/rss", tag);

      assertThat(later.statusCode()).isEqualTo(200);
      assertThat(later.body()).contains("Late tide");
    }
  }
}
