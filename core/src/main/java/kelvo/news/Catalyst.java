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
 * @param reading what its words say of it
 * @param kind what kind of publisher it comes from
 */
public record Catalyst(
    long at,
    String source,
    String headline,
    String body,
    List<String> symbols,
    NewsReading reading,
    SourceKind kind) {
  public Catalyst {
    symbols = List.copyOf(symbols);
  }

  /** An item of a wire, read as {@link NewsReading} says. */
  public Catalyst(long at, String source, String headline, String body, List<String> symbols) {
    this(at, source, headline, body, symbols, NewsReader.read(headline, body), SourceKind.WIRE);
  }

  /** The item as one of another kind of publisher. */
  public Catalyst ofKind(SourceKind other) {
    return new Catalyst(at, source, headline, body, symbols, reading, other);
  }

  /** Whether a security is its subject: named in the headline, or the only one named at all. */
  public boolean isAbout(String symbol, String companyName) {
    return symbols.contains(symbol)
        && (symbols.size() == 1 || headline.contains(symbol) || headline.contains(companyName));
  }
}
