package kelvo.research;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.Values;
import kelvo.state.Subject;

/** By what the cases of a question are told apart, as they stood at their moment. */
public enum Cut {
  FLOAT("float", "float", 5e6, "under 5M", 10e6, "5-10M", 20e6, "10-20M", "over 20M"),
  PRICE("price", "price", 5, "under $5", 10, "$5-10", 20, "$10-20", "over $20"),
  GAP("gap", "gap", 0, "down", 5, "up to 5%", 15, "5-15%", "over 15%"),
  DOLLAR_VOLUME(
      "dollar volume",
      "dollar volume",
      1e6,
      "under $1M",
      5e6,
      "$1-5M",
      25e6,
      "$5-25M",
      "over $25M"),
  PRIOR_DAY(
      "prior-day change", "prior-day change %", -5, "under -5%", 0, "down", 5, "up", "over 5%"),
  HALTED("halted", "halts today", 1, "not before", "before"),
  WEEKDAY("weekday") {
    @Override
    public Cells in(LocalDate date, Values values) {
      String day = day(date.getDayOfWeek());
      return (subject, at) -> day;
    }

    @Override
    List<String> names() {
      return Stream.of(DayOfWeek.values()).map(Cut::day).toList();
    }
  },
  MONTH("month") {
    @Override
    public Cells in(LocalDate date, Values values) {
      String month = YearMonth.from(date).toString();
      return (subject, at) -> month;
    }
  },
  PHASE("phase") {
    @Override
    public Cells in(LocalDate date, Values values) {
      return (subject, at) -> values.phases().at(at).name();
    }
  },
  SECTOR("sector", "sector"),
  CATALYST("catalyst", "news category"),
  TONE("tone", "news tone", -0.1, "bad", 0.1, "neither", "good"),
  THEME("theme", "theme movers", 2, "alone", 4, "2-3 movers", "4 movers and more"),
  BREADTH(
      "breadth",
      "market share up",
      100 / 3.0,
      "a third up or less",
      200 / 3.0,
      "the middle third",
      "two thirds up and more");

  private final String words;
  private final String field;
  private final double[] bounds;
  private final List<String> names;

  /** Tells in which cell a security is at a moment; empty when it cannot be told. */
  @FunctionalInterface
  public interface Cells {
    /** The cell's name; empty when it cannot be told. */
    String of(Subject subject, long at);
  }

  /**
   * A cut by a field.
   *
   * @param boundsAndNames of a number field: each bound with the name of the cell below it, and at
   *     the end that of the rest
   */
  Cut(String words, String field, Object... boundsAndNames) {
    this.words = words;
    this.field = field;
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
  Cut(String words) {
    this(words, "");
  }

  /** The words on screen, after "by". */
  public String words() {
    return words;
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
  public Cells in(LocalDate date, Values values) {
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

  /** In which cells a security is at a moment, by those cuts that can be told. */
  public static Map<Cut, String> cells(Map<Cut, Cells> cuts, Subject subject, long at) {
    Map<Cut, String> cells = new EnumMap<>(Cut.class);
    cuts.forEach(
        (cut, reader) -> {
          String cell = reader.of(subject, at);
          if (!cell.isEmpty()) {
            cells.put(cut, cell);
          }
        });
    return cells;
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
        names().isEmpty() && this != MONTH
            ? Comparator.comparing(cell -> -counts.getOrDefault(cell, 0))
            : Comparator.comparing(names()::indexOf);
    return first.thenComparing(Comparator.naturalOrder());
  }
}
