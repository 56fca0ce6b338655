package kelvo.news;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kelvo.refusal.Nearest;
import kelvo.refusal.RefusedException;

/**
 * What one item must be to count: parts between commas, such as {@code tone above 0.3, weight high,
 * subject, category is one of earnings or guidance}. An item must meet all of them. One that only
 * mentions the company is a {@code mention}.
 */
public final class CatalystRule {
  private static final Pattern TONE = Pattern.compile("tone (above|below) (-?[0-9.]+)");
  private static final Pattern WEIGHT = Pattern.compile("weight (at least )?(low|medium|high)");
  private static final Pattern CATEGORY =
      Pattern.compile("category (?:is one of |is )?(not )?(.+)");
  private static final Pattern SOURCE_KIND = Pattern.compile("source kind is (not )?(.+)");
  private static final Pattern SOURCE = Pattern.compile("source (?:is )?(.+)");

  private final String words;
  private final List<Part> parts = new ArrayList<>();

  private interface Part {
    boolean fits(Catalyst item, String symbol, String company);
  }

  private CatalystRule(String words) {
    this.words = words;
    for (String part : words.split(",")) {
      if (!part.isBlank()) {
        parts.add(part(part.strip()));
      }
    }
  }

  /**
   * Reads a rule; no words at all ask for nothing.
   *
   * @throws RefusedException when a part is none
   */
  public static CatalystRule parse(String words) {
    return new CatalystRule(words.strip());
  }

  private static Part part(String part) {
    if (part.equals("subject")) {
      return Catalyst::isAbout;
    }
    if (part.equals("mention")) {
      return (item, symbol, company) -> !item.isAbout(symbol, company);
    }
    Matcher tone = TONE.matcher(part);
    if (tone.matches()) {
      double bound = number(tone.group(2), part);
      return tone.group(1).equals("above")
          ? (item, symbol, company) -> item.reading().tone() > bound
          : (item, symbol, company) -> item.reading().tone() < bound;
    }
    Matcher weight = WEIGHT.matcher(part);
    if (weight.matches()) {
      NewsCategory.Weight wanted = NewsCategory.Weight.of(weight.group(2)).orElseThrow();
      boolean orMore = weight.group(1) != null;
      return (item, symbol, company) ->
          orMore
              ? item.reading().weight().compareTo(wanted) >= 0
              : item.reading().weight() == wanted;
    }
    Matcher category = CATEGORY.matcher(part);
    if (category.matches()) {
      List<NewsCategory> wanted = categories(category.group(2));
      boolean not = category.group(1) != null;
      return (item, symbol, company) -> wanted.contains(item.reading().category()) != not;
    }
    Matcher kind = SOURCE_KIND.matcher(part);
    if (kind.matches()) {
      SourceKind wanted =
          SourceKind.of(kind.group(2))
              .orElseThrow(
                  () ->
                      new RefusedException(
                          "expected source kind is wire, company release, regulator filing, paid promotion or social, found \""
                              + part
                              + "\""));
      boolean not = kind.group(1) != null;
      return (item, symbol, company) -> (item.kind() == wanted) != not;
    }
    Matcher source = SOURCE.matcher(part);
    if (source.matches()) {
      return (item, symbol, company) -> item.source().equalsIgnoreCase(source.group(1));
    }
    throw new RefusedException(
        "expected tone above or below a number, weight low, medium or high, subject, mention, category, source or source kind, found \""
            + part
            + "\"");
  }

  private static double number(String text, String part) {
    OptionalDouble number = parsed(text);
    if (number.isEmpty() || Math.abs(number.getAsDouble()) > 1) {
      throw new RefusedException("expected a tone between -1 and 1, found \"" + part + "\"");
    }
    return number.getAsDouble();
  }

  private static OptionalDouble parsed(String text) {
    try {
      return OptionalDouble.of(Double.parseDouble(text));
    } catch (NumberFormatException e) {
      return OptionalDouble.empty();
    }
  }

  private static List<NewsCategory> categories(String names) {
    List<NewsCategory> wanted = new ArrayList<>();
    for (String name : names.split("\\s+or\\s+")) {
      wanted.add(
          NewsCategory.of(name.strip())
              .orElseThrow(
                  () ->
                      new RefusedException(
                          "no news category is called \""
                              + name.strip()
                              + "\""
                              + Nearest.asQuestion(
                                  name,
                                  Arrays.stream(NewsCategory.values())
                                      .map(NewsCategory::words)
                                      .toList()))));
    }
    return wanted;
  }

  /** Whether an item meets every part, seen from one of the securities that it names. */
  public boolean fits(Catalyst item, String symbol, String company) {
    for (int i = 0; i < parts.size(); i++) {
      if (!parts.get(i).fits(item, symbol, company)) {
        return false;
      }
    }
    return true;
  }

  /** The rule as written. */
  public String words() {
    return words;
  }
}
