package kelvo.data.news;

import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import kelvo.news.Catalyst;
import kelvo.news.Naming;
import kelvo.time.DayTime;
import org.jsoup.Jsoup;

/**
 * An item of any kind of feed, before it is tied to securities.
 *
 * @param published when
 * @param source who published it
 * @param title its headline, perhaps with markup
 * @param body its text, perhaps with markup; may be empty
 * @param terms categories or tags
 * @param known when the recorded session learned of it
 */
record FeedItem(
    Instant published,
    String source,
    String title,
    String body,
    List<String> terms,
    Instant known) {
  /** An item that was known as soon as it was published. */
  FeedItem(Instant published, String source, String title, String body, List<String> terms) {
    this(published, source, title, body, terms, published);
  }

  /** The item under the name that the trader gave its source. */
  FeedItem from(String name) {
    return new FeedItem(published, name, title, body, terms, known);
  }

  /** Whether it was published in a span of a session. */
  boolean isWithin(LocalDate session, long from, long to) {
    long at = DayTime.of(published, session);
    return at >= from && at <= to;
  }

  /**
   * The item as a catalyst of a session, of the symbols in its terms; when there are none, of those
   * that its headline names. Bodies and titles become plain text.
   */
  Catalyst catalyst(LocalDate session, Set<String> listed) {
    Set<String> symbols = new LinkedHashSet<>();
    terms.stream().filter(listed::contains).forEach(symbols::add);
    if (symbols.isEmpty()) {
      for (String word : title.split("[^A-Za-z0-9.]+")) {
        if (listed.contains(word) && Naming.namesSymbol(title, word)) {
          symbols.add(word);
        }
      }
    }
    return new Catalyst(
            DayTime.of(published, session),
            source,
            Jsoup.parse(title).text(),
            Jsoup.parse(body).text(),
            List.copyOf(symbols))
        .knownAt(DayTime.of(known, session));
  }
}
