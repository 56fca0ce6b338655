package kelvo.data.feed;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kelvo.news.Catalyst;
import kelvo.refusal.RefusedException;
import kelvo.time.DayTime;

/** Reads a news item of the feed: time, source, headline, body and symbols. */
final class NewsItemJson {
  private static final int LONGEST_HEADLINE = 2_000;
  private static final int LONGEST_BODY = 1_000_000;

  private NewsItemJson() {}

  /**
   * The item, its time counted from the session's midnight.
   *
   * @throws RefusedException when it is none
   */
  static Catalyst read(JsonNode item, LocalDate session) {
    if (!item.path("time").isIntegralNumber() || !item.path("headline").isTextual()) {
      throw new RefusedException("expected a news item with time and headline");
    }
    if (item.path("headline").asText().length() > LONGEST_HEADLINE
        || item.path("body").asText().length() > LONGEST_BODY) {
      throw new RefusedException(
          "expected a headline of at most "
              + LONGEST_HEADLINE
              + " characters and a body of at most "
              + LONGEST_BODY);
    }
    List<String> symbols = new ArrayList<>();
    item.path("symbols").forEach(symbol -> symbols.add(symbol.asText()));
    return new Catalyst(
        DayTime.of(Instant.ofEpochMilli(item.path("time").asLong()), session),
        item.path("source").asText(),
        item.path("headline").asText(),
        item.path("body").asText(),
        symbols);
  }
}
