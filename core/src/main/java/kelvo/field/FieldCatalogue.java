package kelvo.field;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kelvo.refusal.RefusedException;

/** Every field there is, found by its words. */
public final class FieldCatalogue {
  private static final Map<String, Field> FIELDS = new LinkedHashMap<>();
  private static final List<FieldFamily> FAMILIES = new ArrayList<>();

  static {
    List.of(
            PriceFields.all(),
            RangeFields.all(),
            ActivityFields.all(),
            AverageFields.all(),
            MinuteFields.all(),
            PriorDayFields.all(),
            HistoryFields.all(),
            CoilFields.all(),
            CharacterFields.all(),
            HaltFields.all(),
            NewsFields.all(),
            BreadthFields.all(),
            ThemeFields.all())
        .forEach(group -> group.forEach(field -> FIELDS.put(field.words(), field)));
    FAMILIES.addAll(ActivityFields.families());
    FAMILIES.addAll(RangeFields.families());
    FAMILIES.addAll(AverageFields.families());
    FAMILIES.addAll(PriorDayFields.families());
    FAMILIES.addAll(HistoryFields.families());
    FAMILIES.addAll(NewsFields.families());
    FAMILIES.addAll(BreadthFields.families());
    FAMILIES.add(RecentHits.family());
  }

  /** The members of families that every hit records. */
  private static final List<String> DEFAULT_MEMBERS =
      List.of("ema 10d", "ema 50d", "ema 200d", "avg volume 20d");

  private FieldCatalogue() {}

  /**
   * The field of these words. A trailing % may be left out or added, as in "gap" and "gap %", where
   * that names no other field.
   */
  public static Optional<Field> find(String words) {
    String wanted = words.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
    return exact(wanted)
        .or(
            () ->
                wanted.endsWith(" %")
                    ? exact(wanted.substring(0, wanted.length() - 2))
                    : exact(wanted + " %"));
  }

  private static Optional<Field> exact(String words) {
    Field field = FIELDS.get(words);
    return field != null
        ? Optional.of(field)
        : FAMILIES.stream().flatMap(family -> family.find(words).stream()).findFirst();
  }

  /**
   * The number field of these words.
   *
   * @throws RefusedException when there is none
   */
  public static Field.Number number(String words) {
    return switch (find(words).orElse(null)) {
      case Field.Number number -> number;
      case null, default ->
          throw new RefusedException("no number field is called \"" + words + "\"");
    };
  }

  /** All single fields and the usual members of families: what every hit records. */
  public static List<Field> usual() {
    List<Field> usual = new ArrayList<>(FIELDS.values());
    DEFAULT_MEMBERS.forEach(words -> exact(words).ifPresent(usual::add));
    return usual;
  }

  /** The words of the fields that are no members of families. */
  public static Set<String> singleWords() {
    return Collections.unmodifiableSet(FIELDS.keySet());
  }

  /** An example of each family, by the family's words. */
  public static Map<String, Field> familyExamples() {
    Map<String, Field> examples = new LinkedHashMap<>();
    FAMILIES.forEach(family -> examples.put(family.words(), family.example()));
    return examples;
  }

  /** The words of all fields, with N in families: for completion and messages. */
  public static List<String> allWords() {
    List<String> words = new ArrayList<>(FIELDS.keySet());
    FAMILIES.forEach(family -> words.add(family.words()));
    return words;
  }
}
