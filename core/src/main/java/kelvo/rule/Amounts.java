package kelvo.rule;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kelvo.field.Unit;

/** Numbers as traders write them: 20M, $1.50, 4%, 5x, 10m. */
public final class Amounts {
  private static final Pattern AMOUNT =
      Pattern.compile("(\\$?)(-?(?:\\d+(?:\\.\\d*)?|\\.\\d+))\\s*(k|m|b|h|d|x|%)?(?:\\s+shares)?");
  private static final Pattern LARGE = Pattern.compile("(?<=[0-9.])[kmb]\\b");

  private Amounts() {}

  public static OptionalDouble parse(String text, Unit unit) {
    if (unit == Unit.FLAG) {
      return switch (text) {
        case "yes" -> OptionalDouble.of(1);
        case "no" -> OptionalDouble.of(0);
        default -> OptionalDouble.empty();
      };
    }
    Matcher matcher = AMOUNT.matcher(text);
    if (!matcher.matches()
        || (!matcher.group(1).isEmpty() && unit != Unit.PRICE && unit != Unit.MONEY)) {
      return OptionalDouble.empty();
    }
    double scale = scale(matcher.group(3) == null ? "" : matcher.group(3), unit);
    return Double.isNaN(scale)
        ? OptionalDouble.empty()
        : OptionalDouble.of(Double.parseDouble(matcher.group(2)) * scale);
  }

  /** An amount as typed, with the K, M or B of large numbers in capitals. */
  static String written(String words, Unit unit) {
    return unit == Unit.MINUTES || unit == Unit.TIMES
        ? words
        : LARGE.matcher(words).replaceAll(m -> m.group().toUpperCase(Locale.ROOT));
  }

  private static double scale(String suffix, Unit unit) {
    if (unit == Unit.MINUTES) {
      return switch (suffix) {
        case "", "m" -> 1;
        case "h" -> 60;
        case "d" -> 1440;
        default -> Double.NaN;
      };
    }
    return switch (suffix) {
      case "" -> 1;
      case "k" -> 1e3;
      case "m" -> 1e6;
      case "b" -> 1e9;
      case "%" -> unit == Unit.PERCENT ? 1 : Double.NaN;
      case "x" -> unit == Unit.TIMES ? 1 : Double.NaN;
      default -> Double.NaN;
    };
  }

  /**
   * A bound as a sentence writes it, rounded to two figures, or to three where a leading 1 would
   * make two coarse: 50K, 2.5, 12%.
   */
  public static String words(double value, Unit unit) {
    double size = Math.abs(value);
    if (unit == Unit.PERCENT && size < 100) {
      return plain(value, 1) + "%";
    }
    int figures =
        size > 0 && Double.toString(size).replaceAll("^[0.]*", "").startsWith("1") ? 3 : 2;
    double rounded = new BigDecimal(value).round(new MathContext(figures)).doubleValue();
    boolean large = unit == Unit.SHARES || unit == Unit.MONEY || unit == Unit.COUNT;
    String number =
        large && size >= 1e9
            ? plain(rounded / 1e9, 3) + "B"
            : large && size >= 1e6
                ? plain(rounded / 1e6, 3) + "M"
                : large && size >= 1e4 ? plain(rounded / 1e3, 3) + "K" : plain(rounded, 4);
    return switch (unit) {
      case PERCENT -> number + "%";
      case TIMES -> number + "x";
      default -> number;
    };
  }

  private static String plain(double value, int decimals) {
    BigDecimal exact =
        BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP).stripTrailingZeros();
    return exact.signum() == 0 ? "0" : exact.toPlainString();
  }

  static String example(Unit unit) {
    return switch (unit) {
      case PRICE -> "a price such as $2.50";
      case PERCENT -> "a per cent such as 4%";
      case SHARES -> "shares such as 50K or 20M";
      case MONEY -> "money such as $1M";
      case COUNT -> "a number such as 100";
      case TIMES -> "a multiple such as 1.5x";
      case MINUTES -> "a time such as 10m, 2h or 1d";
      case NUMBER -> "a number such as 0.3";
      case FLAG -> "yes or no";
      case WORD -> "a word";
    };
  }
}
