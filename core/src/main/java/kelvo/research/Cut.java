package kelvo.research;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.Values;
import kelvo.state.Subject;
import org.jspecify.annotations.Nullable;

/** By what the cases of a question are told apart, as they stood at their moment. */
public final class Cut {
  public static final Cut FLOAT =
      new Cut("float", "float", 5e6, "under 5M", 10e6, "5-10M", 20e6, "10-20M", "over 20M");
  public static final Cut PRICE =
      new Cut("price", "price", 5, "under $5", 10, "$5-10", 20, "$10-20", "over $20");
  public static final Cut GAP =
      new Cut("gap", "gap", 0, "down", 5, "up to 5%", 15, "5-15%", "over 15%");
  public static final Cut DOLLAR_VOLUME =
      new Cut(
          "dollar volume",
          "dollar volume",
          1e6,
          "under $1M",
          5e6,
          "$1-5M",
          25e6,
          "$5-25M",
          "over $25M");
  public static final Cut PRIOR_DAY =
      new Cut(
          "prior-day change", "prior-day change %", -5, "under -5%", 0, "down", 5, "up", "over 5%");
  public static final Cut HALTED = new Cut("halted", "halts today", 1, "not before", "before");
  public static final Cut WEEKDAY =
      new Cut(
          "weekday",
          Stream.of(DayOfWeek.values()).map(Cut::day).toList(),
          (date, values) -> {
            String day = day(date.getDayOfWeek());
            return (subject, at) -> day;
          });
  public static final Cut MONTH =
      new Cut(
          "month",
          List.of(),
          (date, values) -> {
            String month = YearMonth.from(date).toString();
            return (subject, at) -> month;
          });
  public static final Cut PHASE =
      new Cut("phase", List.of(), (date, values) -> (subject, at) -> values.phases().at(at).name());
  public static final Cut SECTOR = new Cut("sector", "sector");
  public static final Cut CATALYST = new Cut("catalyst", "news category");
  public static final Cut TONE = new Cut("tone", "news tone", -0.1, "bad", 0.1, "neither", "good");
  public static final Cut THEME =
      new Cut("theme", "theme movers", 2, "alone", 4, "2-3 movers", "4 movers and more");
  public static final Cut BREADTH =
      new Cut(
          "breadth",
          "market share up",
          100 / 3.0,
          "a third up or less",
          200 / 3.0,
          "the middle third",
          "two thirds up and more");

  /** Those that every question has, in the order in which they are offered. */
  public static final List<Cut> USUAL =
      List.of(
          FLOAT,
          PRICE,
          GAP,
          DOLLAR_VOLUME,
          PRIOR_DAY,
          HALTED,
          WEEKDAY,
          MONTH,
          PHASE,
          SECTOR,
          CATALYST,
          TONE,
          THEME,
          BREADTH);

  /** The usual ones as they are offered, then those of own fields by their words. */
  static final Comparator<Cut> IN_ORDER =
      Comparator.<Cut>comparingInt(cut -> cut.own ? USUAL.size() : USUAL.indexOf(cut))
          .thenComparing(Cut::words);

  private final String words;
  private final String field;
  private final double[] bounds;
  private final List<String> names;
  private final @Nullable Reader reader;
  private final boolean own;

  /** Makes what tells the cells of a session. */
  private interface Reader {
    Cells in(LocalDate date, Values values);
  }

  /** Tells in which cell a security is at a moment; empty when it cannot be told. */
  @FunctionalInterface
  interface Cells {
    /** The cell's name; empty when it cannot be told. */
    String of(Subject subject, long at);
  }

  /**
   * A cut by a field.
   *
   * @param boundsAndNames of a number field: each bound with the name of the cell below it, and at
   *     the end that of the rest
   */
  private Cut(String words, String field, Object... boundsAndNames) {
    this.words = words;
    this.field = field;
    reader = null;
    own = false;
    bounds =
        Arrays.stream(boundsAndNames)
            .filter(Number.class::isInstance)
            .mapToDouble(bound -> ((Number) bound).doubleValue())
            .toArray();
    names =
        Arrays.stream(boundsAndNames)
            .filter(String.class::isInstance)
            .map(String.class::cast)
            .toList();
  }

  /** A cut that reads no field. */
  private Cut(String words, List<String> names, Reader reader) {
    this.words = words;
    this.reader = reader;
    this.names = names;
    field = "";
    bounds = new double[0];
    own = false;
  }

  /** A cut by a field of the trader's own, whose cells the cases themselves make. */
  private Cut(String words, List<String> names) {
    this.words = words;
    this.names = names;
    field = "";
    bounds = new double[0];
    reader = null;
    own = true;
  }

  /**
   * A cut by a number field of the trader's own.
   *
   * @param names of its cells, the lowest first
   */
  static Cut own(Field.Number field, List<String> names) {
    return new Cut(field.words(), List.copyOf(names));
  }

  /** The words on screen, after "by". */
  public String words() {
    return words;
  }

  /** Whether it is by a field of the trader's own. */
  public boolean isOwn() {
    return own;
  }

  /** The field that tells the cells; empty when none is asked. */
  public Optional<Field> field() {
    return FieldCatalogue.find(field);
  }

  /**
   * Tells the cells of securities on a date.
   *
   * @param values of the session, which know its field
   */
  Cells in(LocalDate date, Values values) {
    if (reader != null) {
      return reader.in(date, values);
    }
    return switch (field().orElseThrow()) {
      case Field.Word word -> {
        Values.Words words = values.words(word);
        yield words::of;
      }
      case Field.Number number -> {
        Values.Numbers numbers = values.numbers(number);
        yield (subject, at) -> cell(numbers.of(subject, at));
      }
    };
  }

  private String cell(double value) {
    if (Double.isNaN(value)) {
      return "";
    }
    int place = 0;
    while (place < bounds.length && value >= bounds[place]) {
      place++;
    }
    return names.get(place);
  }

  static String day(DayOfWeek day) {
    return day.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
  }

  /** The names of all its cells in the order in which they are shown; none when they are words. */
  List<String> names() {
    return names;
  }

  /** Cells by their order; those of words by how many cases they have, the most first. */
  Comparator<String> order(Map<String, Integer> counts) {
    Comparator<String> first =
        names().isEmpty() && !equals(MONTH)
            ? Comparator.comparing(cell -> -counts.getOrDefault(cell, 0))
            : Comparator.comparing(names()::indexOf);
    return first.thenComparing(Comparator.naturalOrder());
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof Cut that && own == that.own && words.equals(that.words);
  }

  @Override
  public int hashCode() {
    return words.hashCode();
  }

  @Override
  public String toString() {
    return words;
  }
}
