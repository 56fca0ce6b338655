package kelvo.research.bars;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.StateValues;
import kelvo.field.Values;
import kelvo.history.SessionMinutes;
import kelvo.session.Session;
import kelvo.state.Subject;
import kelvo.tape.Price;
import kelvo.time.Phases;
import kelvo.time.SessionHours;

/**
 * A session of which minute bars are known and no prints. A security is known by its place among
 * those that have bars. What was known of the securities beforehand is worked out field by field
 * when it is first asked for, and kept: 8 bytes a field and security. Any thread may use it.
 */
public final class BarSession {
  private static final int NOT_LISTED = -1;
  private static final Field.Number PREVIOUS_CLOSE = FieldCatalogue.number("previous close");
  private static final Field.Number FLOAT = FieldCatalogue.number("float");

  private final SessionHours hours;
  private final Phases phases;
  private final SessionMinutes minutes;
  private final DayTotals totals;
  private final Supplier<Session> beforehand;
  private final Map<Field, double[]> numbers = new HashMap<>();
  private final Map<Field, String[]> words = new HashMap<>();
  private long[] previousCloses = {};
  private BarNews news = new BarNews(List.of());
  private boolean known;

  /**
   * A session.
   *
   * @param totals of the same minutes
   * @param beforehand makes what is known before the session: its securities and news, without a
   *     tape; asked anew whenever a further field is wanted, since it is too large to keep
   */
  public BarSession(
      SessionHours hours,
      Phases phases,
      SessionMinutes minutes,
      DayTotals totals,
      Supplier<Session> beforehand) {
    this.hours = hours;
    this.phases = phases;
    this.minutes = minutes;
    this.totals = totals;
    this.beforehand = beforehand;
  }

  /** The date. */
  public LocalDate date() {
    return hours.date();
  }

  SessionHours hours() {
    return hours;
  }

  Phases phases() {
    return phases;
  }

  SessionMinutes minutes() {
    return minutes;
  }

  DayTotals totals() {
    return totals;
  }

  int size() {
    return minutes.symbols().size();
  }

  String symbol(int place) {
    return minutes.symbols().get(place);
  }

  /** The closes of the session before as it is held against, {@link Price} units. */
  synchronized long[] previousCloses() {
    return previousCloses;
  }

  /** Floats; NaN where unknown. */
  double[] floats() {
    return numbers(FLOAT);
  }

  synchronized BarNews news() {
    return news;
  }

  /** A number that is known before the session, by place; NaN where unknown. */
  synchronized double[] numbers(Field.Number field) {
    know(List.of(field));
    return numbers.getOrDefault(field, new double[0]);
  }

  /** A word that is known before the session, by place; empty where unknown. */
  synchronized String[] words(Field.Word field) {
    know(List.of(field));
    return words.getOrDefault(field, new String[0]);
  }

  /** Works out these fields, as far as they are known before the session, in one go. */
  synchronized void know(Collection<Field> fields) {
    List<Field> wanted =
        fields.stream()
            .filter(field -> field.pace() == Field.Pace.FIXED)
            .filter(field -> !numbers.containsKey(field) && !words.containsKey(field))
            .distinct()
            .toList();
    if (known && wanted.isEmpty()) {
      return;
    }
    Session session = beforehand.get();
    int[] places = placesIn(session);
    Subject[] subjects = new Subject[places.length];
    StateValues values = new StateValues(session);
    Arrays.setAll(
        subjects,
        place -> places[place] == NOT_LISTED ? new Unlisted() : values.settled(places[place]));
    if (!known) {
      previousCloses = previousCloses(session, places);
      news = new BarNews(session.catalysts());
      numbers.put(PREVIOUS_CLOSE, numbers(PREVIOUS_CLOSE, values, places, subjects));
      numbers.put(FLOAT, numbers(FLOAT, values, places, subjects));
      known = true;
    }
    for (Field field : wanted) {
      switch (field) {
        case Field.Number number -> numbers.put(number, numbers(number, values, places, subjects));
        case Field.Word word -> words.put(word, words(word, values, places, subjects));
      }
    }
  }

  /** Stands for a security that has bars and is not in the list. */
  private record Unlisted() implements Subject {
    @Override
    public int id() {
      return NOT_LISTED;
    }
  }

  private int[] placesIn(Session session) {
    int[] places = new int[size()];
    Arrays.setAll(places, place -> session.numberOf(symbol(place)).orElse(NOT_LISTED));
    return places;
  }

  private static long[] previousCloses(Session session, int[] places) {
    long[] closes = new long[places.length];
    Arrays.setAll(
        closes,
        place ->
            places[place] == NOT_LISTED
                ? Price.NONE
                : session.security(places[place]).previousClose());
    return closes;
  }

  private static double[] numbers(
      Field.Number field, StateValues values, int[] places, Subject[] subjects) {
    Values.Numbers reading = values.numbers(field);
    double[] known = new double[places.length];
    Arrays.setAll(
        known, place -> places[place] == NOT_LISTED ? Double.NaN : reading.of(subjects[place], 0));
    return known;
  }

  private static String[] words(
      Field.Word field, StateValues values, int[] places, Subject[] subjects) {
    Values.Words reading = values.words(field);
    String[] known = new String[places.length];
    Arrays.setAll(
        known, place -> places[place] == NOT_LISTED ? "" : reading.of(subjects[place], 0));
    return known;
  }
}
