package kelvo.hit;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.FieldValues;
import kelvo.field.RecentHits;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import org.jspecify.annotations.Nullable;

/**
 * Takes down every field's value for a hit. Fields that stay the same all session are taken once a
 * security and shared by its hits; those that the tape can tell at any time are left to whoever
 * reads them first. Owned by one thread.
 */
public final class HitFields {
  private static final int FIXED = 0;
  private static final int LIVE = 1;
  private static final int TAPE = 2;

  private final List<Field.Number> recorded;
  private final List<Field.Word> fixedWords;
  private final List<Field.Word> liveWords;
  private final Field.Reading[] fixed;
  private final Field.Reading[] live;

  /** Which of the live values count the hits of the scan that makes the hit. */
  private final boolean[] ownHits;

  private final Session session;
  private final @Nullable Fixed[] fixedOfSecurity;

  /** What stays the same all session about a security. */
  private record Fixed(double[] numbers, Map<String, String> words) {}

  HitFields(Session session, List<Scan> scans) {
    recorded = recorded(scans);
    fixedWords = words(scans, field -> field.pace() == Field.Pace.FIXED);
    liveWords = words(scans, field -> field.pace() != Field.Pace.FIXED);
    fixed = readings(session, FIXED);
    live = readings(session, LIVE);
    ownHits = new boolean[live.length];
    for (int i = 0; i < live.length; i++) {
      ownHits[i] = RecentHits.isCountedBy(recorded.get(fixed.length + i));
    }
    fixedOfSecurity = new Fixed[session.securities().size()];
    this.session = session;
  }

  /**
   * The number fields whose values every hit of a program keeps: those that cannot change first,
   * those that the tape tells last.
   */
  public static List<Field.Number> recorded(List<Scan> scans) {
    return all(scans).stream()
        .filter(Field.Number.class::isInstance)
        .map(Field.Number.class::cast)
        .sorted(Comparator.comparingInt(HitFields::group))
        .toList();
  }

  private static List<Field.Word> words(List<Scan> scans, Predicate<Field.Word> wanted) {
    return all(scans).stream()
        .filter(Field.Word.class::isInstance)
        .map(Field.Word.class::cast)
        .filter(wanted)
        .toList();
  }

  /** The usual fields and the columns of the scans, each once. */
  private static Collection<Field> all(List<Scan> scans) {
    Map<String, Field> fields = new LinkedHashMap<>();
    FieldCatalogue.usual().forEach(field -> fields.put(field.words(), field));
    scans.forEach(scan -> scan.columns().forEach(f -> fields.putIfAbsent(f.words(), f)));
    return fields.values();
  }

  private static int group(Field.Number field) {
    if (field.fromTape() != null) {
      return TAPE;
    }
    return field.pace() == Field.Pace.FIXED ? FIXED : LIVE;
  }

  private Field.Reading[] readings(Session session, int group) {
    return recorded.stream()
        .filter(f -> group(f) == group)
        .map(f -> f.bind(session))
        .toArray(Field.Reading[]::new);
  }

  /** The values for a hit of a scan, or of something else that has a name. */
  FieldValues of(String scan, SymbolState state, long now) {
    Fixed known = fixedOfSecurity[state.id()];
    if (known == null) {
      known =
          new Fixed(
              values(fixed, state, now), Map.copyOf(withWords(Map.of(), fixedWords, state, now)));
      fixedOfSecurity[state.id()] = known;
    }
    return new FieldValues(
        recorded,
        known.numbers,
        withOwnHits(scan, values(live, state, now), state, now),
        withWords(known.words, liveWords, state, now),
        state.moment(now));
  }

  /** Adds the words that are known; the same map when none of them is. */
  private static Map<String, String> withWords(
      Map<String, String> others, List<Field.Word> fields, SymbolState state, long now) {
    Map<String, String> known = others;
    for (Field.Word field : fields) {
      String word = field.of(state, now);
      if (!word.isEmpty()) {
        known = known == others ? new HashMap<>(others) : known;
        known.put(field.words(), word);
      }
    }
    return known;
  }

  /** Adds how often the scan itself has hit the security before. */
  private double[] withOwnHits(String scan, double[] values, SymbolState state, long now) {
    for (int i = 0; i < values.length; i++) {
      if (ownHits[i]) {
        Field.Number field = RecentHits.in(recorded.get(fixed.length + i), scan);
        values[i] = field.bind(session).at(state, now);
      }
    }
    return values;
  }

  private static double[] values(Field.Reading[] readings, SymbolState state, long now) {
    double[] values = new double[readings.length];
    for (int i = 0; i < values.length; i++) {
      values[i] = readings[i].at(state, now);
    }
    return values;
  }
}
