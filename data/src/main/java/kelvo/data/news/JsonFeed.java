package kelvo.data.news;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.Reader;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import kelvo.refusal.RefusedException;

/** Reads JSON Feed 1.1 (jsonfeed.org, version 1.1). */
public final class JsonFeed {
  /** The extension in which a recorded item keeps what is Kelvo's own. */
  public static final String OWN = "_kelvo";

  /** When the recorded session learned of an item that was told late. */
  public static final String KNOWN = "known";

  private static final ObjectMapper JSON = new ObjectMapper();
  private static final String VERSION = "https://jsonfeed.org/version/1";

  private JsonFeed() {}

  /**
   * The items of a feed.
   *
   * @param wrong hears of each item that has no title or date
   * @throws IOException when it is no JSON Feed
   */
  static List<FeedItem> read(Reader reader, Consumer<String> wrong) throws IOException {
    JsonNode feed = JSON.readTree(reader);
    if (feed == null || !feed.path("version").asText().startsWith(VERSION)) {
      throw new IOException("it has no version " + VERSION);
    }
    List<FeedItem> items = new ArrayList<>();
    for (JsonNode item : feed.path("items")) {
      try {
        items.add(item(item, feed.path("title").asText()));
      } catch (DateTimeException | IllegalArgumentException e) {
        wrong.accept(item.path("title").asText(item.path("id").asText()));
      }
    }
    return items;
  }

  private static FeedItem item(JsonNode item, String source) {
    if (!item.path("title").isTextual()) {
      throw new RefusedException("no title");
    }
    List<String> tags = new ArrayList<>();
    item.path("tags").forEach(tag -> tags.add(tag.asText()));
    JsonNode html = item.path("content_html");
    String author = item.path("authors").path(0).path("name").asText();
    Instant published = OffsetDateTime.parse(item.path("date_published").asText()).toInstant();
    String known = item.path(OWN).path(KNOWN).asText();
    return new FeedItem(
        published,
        author.isEmpty() ? source : author,
        item.path("title").asText(),
        html.isTextual() ? html.asText() : item.path("content_text").asText(),
        tags,
        known.isEmpty() ? published : OffsetDateTime.parse(known).toInstant());
  }
}
