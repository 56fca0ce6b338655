package kelvo.formula;

import java.util.Locale;
import java.util.Optional;
import java.util.function.DoubleBinaryOperator;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kelvo.field.Field;
import kelvo.field.Unit;
import kelvo.refusal.RefusedException;
import org.jspecify.annotations.Nullable;

/**
 * Reads arithmetic over fields: {@code + - x /}, min, max, abs, brackets, and numbers with units,
 * such as {@code max(price - vwap, 0) / atr 14d}. A result is unknown when a part of it is, or when
 * something is divided by 0.
 */
final class Formula {
  private static final Pattern NUMBER =
      Pattern.compile("(\\$?)(\\d+(?:\\.\\d+)?)(k|m|b|%)?(?![a-z0-9.])");
  private static final Pattern FUNCTION = Pattern.compile("(min|max|abs)\\s*\\(");

  private final String formula;
  private final String text;
  private final Function<String, Optional<Field>> fields;
  private int at;

  private Formula(String formula, Function<String, Optional<Field>> fields) {
    this.formula = formula;
    this.fields = fields;
    text = formula.toLowerCase(Locale.ROOT);
  }

  /**
   * Reads a formula.
   *
   * @param fields finds a field by its words
   * @throws FormulaSyntaxException when the text is none
   */
  static Part parse(String formula, Function<String, Optional<Field>> fields) {
    Formula read = new Formula(formula, fields);
    Part whole = read.sum();
    if (read.at < formula.length()) {
      throw read.wrong(read.at, "expected + - x / or the end");
    }
    return whole;
  }

  private Part sum() {
    Part left = product();
    while (isNext("+") || isNext("-")) {
      int sign = at;
      boolean plus = text.charAt(at++) == '+';
      Part right = product();
      left = joined(left, right, sign, plus ? (a, b) -> a + b : (a, b) -> a - b);
    }
    return left;
  }

  private Part product() {
    Part left = factor();
    while (isNext("x") || isNext("*") || isNext("/")) {
      boolean divides = text.charAt(at++) == '/';
      Part right = factor();
      left =
          divides
              ? left.with(
                  right,
                  FormulaUnits.quotient(left.unit(), right.unit()),
                  (a, b) -> b == 0 ? Double.NaN : a / b)
              : left.with(right, FormulaUnits.product(left.unit(), right.unit()), (a, b) -> a * b);
    }
    return left;
  }

  private Part factor() {
    skipSpaces();
    if (isNext("-")) {
      at++;
      return factor().with(value -> -value);
    }
    Matcher function = FUNCTION.matcher(text).region(at, text.length());
    if (function.lookingAt()) {
      at = function.end();
      return function(function.group(1));
    }
    if (isNext("(")) {
      at++;
      Part inside = sum();
      expect(")");
      return inside;
    }
    return fieldOrNumber();
  }

  private Part function(String name) {
    Part first = sum();
    if (name.equals("abs")) {
      expect(")");
      return first.with(Math::abs);
    }
    int comma = at;
    expect(",");
    Part second = sum();
    DoubleBinaryOperator join = name.equals("min") ? Math::min : Math::max;
    Part found = joined(first, second, comma, join);
    while (isNext(",")) {
      comma = at++;
      found = joined(found, sum(), comma, join);
    }
    expect(")");
    return found;
  }

  private Part joined(Part left, Part right, int place, DoubleBinaryOperator join) {
    if (!FormulaUnits.agree(left.unit(), right.unit())) {
      throw wrong(
          place,
          "expected two of one kind, found " + words(left.unit()) + " and " + words(right.unit()));
    }
    return left.with(right, FormulaUnits.common(left.unit(), right.unit()), join);
  }

  private static String words(@Nullable Unit unit) {
    return unit == null ? "a number" : unit.name().toLowerCase(Locale.ROOT);
  }

  /** The longest words from here on that name a field, since a field's words may hold a sign. */
  private Part fieldOrNumber() {
    for (int end = text.length(); end > at; end--) {
      if (end == text.length() || isBoundary(text.charAt(end))) {
        Field field = find(text.substring(at, end)).orElse(null);
        if (field instanceof Field.Number number) {
          at = end;
          return Part.of(number);
        }
        if (field != null) {
          throw wrong(at, field.words() + " is a word: expected a field with a number");
        }
      }
    }
    Matcher number = NUMBER.matcher(text).region(at, text.length());
    if (!number.lookingAt()) {
      throw wrong(at, "expected a field, a number, min, max, abs or (" + found());
    }
    at = number.end();
    return number(number);
  }

  private static Part number(Matcher number) {
    String suffix = number.group(3) == null ? "" : number.group(3);
    double scale =
        switch (suffix) {
          case "k" -> 1e3;
          case "m" -> 1e6;
          case "b" -> 1e9;
          default -> 1;
        };
    double value = Double.parseDouble(number.group(2)) * scale;
    if (!number.group(1).isEmpty()) {
      return Part.number(value, suffix.isEmpty() ? Unit.PRICE : Unit.MONEY);
    }
    return Part.number(value, suffix.equals("%") ? Unit.PERCENT : null);
  }

  private String found() {
    String rest = formula.substring(at).strip();
    return rest.isEmpty() ? "" : ", found \"" + rest + "\"";
  }

  private Optional<Field> find(String words) {
    try {
      return words.isBlank() ? Optional.empty() : fields.apply(words.strip());
    } catch (RefusedException e) {
      return Optional.empty();
    }
  }

  private static boolean isBoundary(char c) {
    return " ,()+-*/".indexOf(c) >= 0;
  }

  private void skipSpaces() {
    while (at < text.length() && text.charAt(at) == ' ') {
      at++;
    }
  }

  private boolean isNext(String sign) {
    skipSpaces();
    return text.startsWith(sign, at);
  }

  private void expect(String sign) {
    if (!isNext(sign)) {
      throw wrong(at, "expected " + sign);
    }
    at += sign.length();
  }

  private FormulaSyntaxException wrong(int position, String expected) {
    return new FormulaSyntaxException(formula, position, expected);
  }
}
