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
 * @param known when the session learned of it, on the scale of {@code at} and never before it: a
 *     source that is asked now and then tells late
 */
public record Catalyst(
    long at,
    String source,
    String headline,
    String body,
    List<String> symbols,
    NewsReading reading,
    SourceKind kind,
    long known) {
  public Catalyst {
    known = Math.max(at, known);
    symbols = List.copyOf(symbols);
  }

  /** An item of a wire, read as {@link NewsReading} says. */
  public Catalyst(long at, String source, String headline, String body, List<String> symbols) {
    this(at, source, headline, body, symbols, NewsReader.read(headline, body), SourceKind.WIRE, at);
  }

  /** The item as one of another kind of publisher. */
  public Catalyst ofKind(SourceKind other) {
    return new Catalyst(at, source, headline, body, symbols, reading, other, known);
  }

  /** The item as one of which the session learned at a moment. */
  public Catalyst knownAt(long moment) {
    return new Catalyst(at, source, headline, body, symbols, reading, kind, moment);
  }

  /** Whether a security is its subject: named in the headline, or the only one named at all. */
  public boolean isAbout(String symbol, String companyName) {
    return symbols.contains(symbol)
        && (symbols.size() == 1 || Naming.names(headline, symbol, companyName));
  }
}
