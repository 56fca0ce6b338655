package kelvo.data.fill;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import kelvo.trade.FillSide;

/** Numbers and sides as brokers write them. */
final class WrittenFill {
  /** Common practice of the trade, no source. */
  private static final Map<FillSide, List<String>> SIDES =
      Map.of(
          FillSide.BUY, List.of("buy", "b", "bot", "bought", "buy to open", "bto", "buy open"),
          FillSide.SELL,
              List.of("sell", "s", "sld", "sold", "sell to close", "stc", "sell close", "sl"),
          FillSide.SHORT, List.of("short", "ss", "sell short", "sell to open", "sto", "sold short"),
          FillSide.COVER,
              List.of("cover", "bc", "buy to cover", "btc", "buy to close", "buy cover"));

  private WrittenFill() {}

  /** The side of a word. */
  static Optional<FillSide> side(String text) {
    String word = text.toLowerCase(Locale.ROOT).replaceAll("[\\s_-]+", " ").strip();
    return SIDES.entrySet().stream()
        .filter(side -> side.getValue().contains(word))
        .map(Map.Entry::getKey)
        .findFirst();
  }

  /**
   * A number: with a dollar sign, groups of three digits, brackets for below 0, or a comma before
   * its decimals.
   */
  static Optional<BigDecimal> number(String text) {
    String plain = text.strip().replace("$", "").replace("USD", "").replace("\u2212", "-").strip();
    boolean bracketed = plain.startsWith("(") && plain.endsWith(")");
    if (bracketed) {
      plain = plain.substring(1, plain.length() - 1);
    }
    boolean decimalComma = plain.matches("[-+]?\\d{1,3}(\\.\\d{3})*,\\d+") && !grouped(plain);
    plain = decimalComma ? plain.replace(".", "").replace(',', '.') : plain.replace(",", "");
    try {
      BigDecimal number = new BigDecimal(plain.strip());
      return Optional.of(bracketed ? number.negate() : number);
    } catch (NumberFormatException e) {
      return Optional.empty();
    }
  }

  /** Whether a comma divides thousands: 1,234. */
  private static boolean grouped(String plain) {
    return plain.matches("[-+]?\\d{1,3}(,\\d{3})+");
  }
}
