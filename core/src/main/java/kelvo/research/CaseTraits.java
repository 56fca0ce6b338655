package kelvo.research;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Predicate;
import kelvo.field.Field;
import kelvo.field.Values;
import kelvo.state.Subject;

/**
 * By what a case is told apart from others, as it stood at its moment.
 *
 * @param cells by {@link Cut}: in which cell it is; a cut that cannot be told has none
 * @param own the numbers of the trader's own fields; one that is unknown is left out
 */
public record CaseTraits(Map<Cut, String> cells, Map<Field.Number, Double> own) {
  public CaseTraits {
    cells = Map.copyOf(cells);
    own = Map.copyOf(own);
  }

  /** Cells, and no own field. */
  public static CaseTraits of(Map<Cut, String> cells) {
    return new CaseTraits(cells, Map.of());
  }

  /** The same in a further cell. */
  CaseTraits with(Cut cut, String cell) {
    Map<Cut, String> more = new HashMap<>(cells);
    more.put(cut, cell);
    return new CaseTraits(more, own);
  }

  /** Tells the traits of the securities of one session. Owned by one thread. */
  public static final class Reader {
    private final Map<Cut, Cut.Cells> cuts = new LinkedHashMap<>();
    private final Map<Field.Number, Values.Numbers> own = new LinkedHashMap<>();

    /**
     * A reader.
     *
     * @param values of the session
     * @param told whether they know a field
     */
    public Reader(Question question, LocalDate date, Values values, Predicate<Field> told) {
      for (Cut cut : Cut.USUAL) {
        if (cut.field().map(told::test).orElse(true)) {
          cuts.put(cut, cut.in(date, values));
        }
      }
      for (Field.Number field : question.own()) {
        if (told.test(field)) {
          own.put(field, values.numbers(field));
        }
      }
    }

    /** The traits of a security at a moment. */
    public CaseTraits at(Subject subject, long moment) {
      Map<Cut, String> cells = new HashMap<>();
      cuts.forEach(
          (cut, reader) -> {
            String cell = reader.of(subject, moment);
            if (!cell.isEmpty()) {
              cells.put(cut, cell);
            }
          });
      Map<Field.Number, Double> numbers = new HashMap<>();
      own.forEach(
          (field, reader) -> {
            double value = reader.of(subject, moment);
            if (!Double.isNaN(value)) {
              // Adding 0 makes one zero of the two.
              numbers.put(field, value + 0.0);
            }
          });
      return new CaseTraits(cells, numbers);
    }
  }
}
