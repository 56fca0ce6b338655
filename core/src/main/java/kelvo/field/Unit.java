package kelvo.field;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.regex.Pattern;

/** What a field's number counts, and how traders write it. */
public enum Unit {
  PRICE("$"),
  PERCENT("%"),
  SHARES(""),
  MONEY("$"),
  COUNT(""),
  TIMES("x"),
  MINUTES("min"),
  NUMBER(""),
  FLAG(""),
  WORD("");

  /** A distance to something that is not there, larger than any number. */
  public static final String CLEAR = "clear";

  /** What rounds to nought has no sign. */
  private static final Pattern NOUGHT = Pattern.compile("-0(\\.0*)?");

  private final String header;

  Unit(String header) {
    this.header = header;
  }

  /** The unit as it stands in a column's header; may be empty. */
  public String header() {
    return header;
  }

  /** The number as shown on screen; empty when unknown. */
  public String text(double value) {
    if (Double.isNaN(value)) {
      return "";
    }
    if (Double.isInfinite(value)) {
      return CLEAR;
    }
    return switch (this) {
      case PRICE -> fixed(value, Math.abs(value) < 1 ? 4 : 2);
      case PERCENT -> fixed(value, 1);
      case SHARES -> large(value);
      case MONEY -> large(value);
      case TIMES -> fixed(value, 2);
      case NUMBER -> Math.abs(value) >= 9_999.5 ? large(value) : fixed(value, 2);
      case MINUTES -> fixed(value, 0);
      case FLAG -> value == 0 ? "no" : "yes";
      case COUNT, WORD -> value >= 100_000 ? large(value) : fixed(value, 0);
    };
  }

  /** A shown number with its unit where that is a sign: $4.20, 12.4%, 1.50x. */
  public String withSign(String text) {
    if (text.equals(CLEAR)) {
      return text;
    }
    return switch (this) {
      case PRICE, MONEY -> text.startsWith("-") ? "-$" + text.substring(1) : "$" + text;
      case PERCENT -> text + "%";
      case TIMES -> text + "x";
      case MINUTES -> text + " min";
      default -> text;
    };
  }

  /** The number for files and exports: plain, in the field's unit, at most six decimals. */
  public String plain(double value) {
    if (Double.isNaN(value)) {
      return "";
    }
    if (Double.isInfinite(value)) {
      return CLEAR;
    }
    if (this == FLAG) {
      return value == 0 ? "no" : "yes";
    }
    BigDecimal exact =
        BigDecimal.valueOf(value).setScale(6, RoundingMode.HALF_UP).stripTrailingZeros();
    return exact.scale() < 0 ? exact.setScale(0).toPlainString() : exact.toPlainString();
  }

  private static String large(double value) {
    double size = Math.abs(value);
    if (size >= 999_950_000) {
      return fixed(value / 1e9, 1) + "B";
    }
    if (size >= 999_950) {
      return fixed(value / 1e6, 1) + "M";
    }
    return size >= 9_999.5 ? fixed(value / 1e3, 0) + "K" : fixed(value, 0);
  }

  private static String fixed(double value, int decimals) {
    String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
    return NOUGHT.matcher(text).matches() ? text.substring(1) : text;
  }
}
