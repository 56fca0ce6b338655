package kelvo.data.fill;

import java.util.List;
import java.util.Locale;

/** What a column of a broker's table holds. */
public enum FillPart {
  NOTHING("left out", List.of()),
  WHEN("date and time", List.of()),
  DATE("date", List.of()),
  TIME("time", List.of()),
  SYMBOL("symbol", List.of("symbol", "ticker", "instrument")),
  SIDE("side", List.of("side", "action", "buy/sell", "b/s", "transaction", "type")),
  QUANTITY("quantity", List.of("quantity", "qty", "shares", "filled")),
  PRICE("price", List.of("price")),
  FEE("fee", List.of("commission", "comm", "fee", "charge")),
  ACCOUNT("account", List.of("account", "acct")),
  ORDER("order id", List.of("order", "exec id", "execution id"));

  /** What is not meant where a word of a part stands in a header, too. */
  private static final List<String> OTHERS =
      List.of("limit", "stop", "settle", "description", "currency", "order type", "total");

  private final String words;
  private final List<String> names;

  FillPart(String words, List<String> names) {
    this.words = words;
    this.names = names;
  }

  /** The words on screen. */
  public String words() {
    return words;
  }

  /** Whether a header names this part; dates and times are told by what stands below. */
  boolean isNamedBy(String header) {
    String name = header.toLowerCase(Locale.ROOT).strip();
    return names.stream().anyMatch(name::contains) && OTHERS.stream().noneMatch(name::contains);
  }
}
