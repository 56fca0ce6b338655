package kelvo.data.news;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import kelvo.data.fault.PlainReason;
import kelvo.news.SourceKind;
import kelvo.refusal.RefusedException;
import org.jspecify.annotations.Nullable;

/**
 * A publisher of news that the trader has named: sources.json of a data folder.
 *
 * @param name as items carry it
 * @param kind what kind of publisher it is
 * @param address where its feed is; null for one whose items come as files or with the live feed
 * @param every how long to wait between two askings; a file may ask for {@link #MIN_WAIT} at least
 */
public record NewsSource(String name, SourceKind kind, @Nullable URI address, Duration every) {
  /** No file has a publisher asked more often than this. */
  public static final Duration MIN_WAIT = Duration.ofSeconds(30);

  /** Where the trader names them, in the data folder. */
  public static final String FILE = "sources.json";

  private static final int DEFAULT_SECONDS = 60;
  private static final String ADDRESS = "an address that begins with http:// or https://";
  private static final ObjectMapper JSON = new ObjectMapper();

  public NewsSource {
    if (name.isBlank()) {
      throw new RefusedException("a source needs a name");
    }
  }

  /** The sources of a data folder; a wrong one is reported and left out. */
  public static List<NewsSource> in(Path folder, Faults faults) {
    Path file = folder.resolve(FILE);
    List<NewsSource> sources = new ArrayList<>();
    if (!Files.exists(file)) {
      return sources;
    }
    try {
      for (JsonNode node : JSON.readTree(Files.readString(file)).path("sources")) {
        try {
          sources.add(of(node));
        } catch (RefusedException e) {
          faults.add(new Fault(FILE, 0, "", String.valueOf(e.getMessage()), node.toString()));
        }
      }
    } catch (JsonProcessingException e) {
      JsonLocation at = e.getLocation();
      faults.add(new Fault(FILE, at == null ? 0 : at.getLineNr(), "", "JSON", "something else"));
    } catch (IOException e) {
      faults.add(new Fault(FILE, 0, "", "a readable file", PlainReason.of(e)));
    }
    return sources;
  }

  private static NewsSource of(JsonNode node) {
    String words = node.path("kind").asText(SourceKind.WIRE.words());
    SourceKind kind =
        SourceKind.of(words)
            .orElseThrow(
                () ->
                    new RefusedException(
                        "a kind: wire, company release, regulator filing, paid promotion or social"));
    String url = node.path("url").asText();
    return new NewsSource(
        node.path("name").asText(), kind, url.isEmpty() ? null : address(url), seconds(node));
  }

  private static Duration seconds(JsonNode node) {
    Duration wanted = Duration.ofSeconds(node.path("every_seconds").asInt(DEFAULT_SECONDS));
    return wanted.compareTo(MIN_WAIT) < 0 ? MIN_WAIT : wanted;
  }

  private static URI address(String url) {
    try {
      URI address = new URI(url);
      if ("http".equals(address.getScheme()) || "https".equals(address.getScheme())) {
        return address;
      }
      throw new RefusedException(ADDRESS);
    } catch (URISyntaxException e) {
      throw new RefusedException(ADDRESS, e);
    }
  }
}
