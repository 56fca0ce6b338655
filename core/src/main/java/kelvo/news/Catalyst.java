package kelvo.news;

import java.util.List;

/**
 * A news item tied to securities.
 *
 * @param at when it was published: nanoseconds since the session's midnight, New York, negative on
 *     an earlier day
 * @param source who published it
 * @param headline its title
 * @param body plain text; may be empty
 * @param symbols the securities that it names
 */
public record Catalyst(long at, String source, String headline, String body, List<String> symbols) {
  public Catalyst {
    symbols = List.copyOf(symbols);
  }

  /** Whether a security is its subject: named in the headline, or the only one named at all. */
  public boolean isAbout(String symbol, String companyName) {
    return symbols.contains(symbol)
        && (symbols.size() == 1 || headline.contains(symbol) || headline.contains(companyName));
  }
}
