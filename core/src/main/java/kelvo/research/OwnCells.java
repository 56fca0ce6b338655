package kelvo.research;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.DoubleStream;
import kelvo.field.Field;

/**
 * The cells of a field of the trader's own: thirds of the cases by its value, or its values
 * themselves when there are three or fewer.
 */
final class OwnCells {
  private static final int MOST_VALUES = 3;

  private final Field.Number field;
  private final double[] bounds;
  private final List<String> names = new ArrayList<>();
  private final Cut cut;

  /** The cells that these cases make. */
  private OwnCells(Field.Number field, List<ResearchCase> cases) {
    this.field = field;
    double[] values =
        cases.stream()
            .map(one -> one.traits().own().get(field))
            .filter(value -> value != null)
            .mapToDouble(Double::doubleValue)
            .sorted()
            .toArray();
    double[] distinct = Arrays.stream(values).distinct().toArray();
    if (distinct.length <= MOST_VALUES) {
      bounds = Arrays.stream(distinct).skip(1).toArray();
      Arrays.stream(distinct).mapToObj(this::text).forEach(names::add);
    } else {
      double[] thirds =
          DoubleStream.of(values[values.length / 3], values[2 * values.length / 3])
              .filter(bound -> bound > values[0])
              .distinct()
              .toArray();
      // Where two thirds have the least value, the others stand against them.
      bounds = thirds.length == 0 ? new double[] {distinct[1]} : thirds;
      names.add("under " + text(bounds[0]));
      for (int i = 1; i < bounds.length; i++) {
        names.add(text(bounds[i - 1]) + " to " + text(bounds[i]));
      }
      names.add(text(bounds[bounds.length - 1]) + " and more");
    }
    cut = Cut.own(field, names);
  }

  /**
   * All cases with the cells of the question's own fields.
   *
   * @param known the cases that make the cells: those with a result
   */
  static List<ResearchCase> put(
      Question question, List<ResearchCase> known, List<ResearchCase> all) {
    List<ResearchCase> cases = all;
    for (Field.Number field : question.own()) {
      OwnCells cells = new OwnCells(field, known);
      cases = cases.stream().map(cells::put).toList();
    }
    return cases;
  }

  private ResearchCase put(ResearchCase one) {
    Double value = one.traits().own().get(field);
    if (value == null || names.isEmpty()) {
      return one;
    }
    int place = 0;
    while (place < bounds.length && value >= bounds[place]) {
      place++;
    }
    return one.with(one.traits().with(cut, names.get(place)));
  }

  private String text(double value) {
    return field.unit().text(value);
  }
}
