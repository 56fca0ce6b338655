package kelvo.field;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import kelvo.field.Field;
import kelvo.state.TapeMoment;
import org.jspecify.annotations.Nullable;

/**
 * Values of number fields at one moment, in the order of their list, and of word fields by their
 * names. Immutable: what the tape tells is read from it when first asked for, by any thread, and is
 * always the same. The list is shared by all values of a session.
 */
public final class FieldValues {
  private final List<Field.Number> fields;
  private final double[] fixed;
  private final double[] live;
  private final Map<String, String> words;
  private final @Nullable TapeMoment moment;
  private volatile double @Nullable [] fromTape;

  /**
   * Takes over the arrays, which nobody else may change.
   *
   * @param fixed the values of the first fields, which may be shared
   * @param live the values of the next ones
   * @param words the words that are known, by the names of their fields
   * @param moment tells the rest
   */
  public FieldValues(
      List<Field.Number> fields,
      double[] fixed,
      double[] live,
      Map<String, String> words,
      @Nullable TapeMoment moment) {
    this.fields = fields;
    this.fixed = fixed;
    this.live = live;
    this.words = Map.copyOf(words);
    this.moment = moment;
  }

  /** The fields, in order. */
  public List<Field.Number> fields() {
    return fields;
  }

  /** The words that are known, by the names of their fields. */
  public Map<String, String> words() {
    return words;
  }

  /** The value of the field at a place; NaN when unknown. */
  public double at(int place) {
    if (place < fixed.length) {
      return fixed[place];
    }
    int after = place - fixed.length;
    return after < live.length ? live[after] : fromTape()[after - live.length];
  }

  private double[] fromTape() {
    double[] known = fromTape;
    if (known == null) {
      int first = fixed.length + live.length;
      double[] read = new double[fields.size() - first];
      for (int i = 0; i < read.length; i++) {
        Field.TapeReading reading = Objects.requireNonNull(fields.get(first + i).fromTape());
        read[i] = moment == null ? Double.NaN : reading.at(moment);
      }
      fromTape = read;
      known = read;
    }
    return known;
  }

  /** The value of the field of these words; NaN when unknown or not recorded. */
  public double of(String words) {
    for (int i = 0; i < fields.size(); i++) {
      if (fields.get(i).words().equals(words)) {
        return at(i);
      }
    }
    return Double.NaN;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof FieldValues that
        && Arrays.equals(fixed, that.fixed)
        && Arrays.equals(live, that.live)
        && words.equals(that.words)
        && Arrays.equals(fromTape(), that.fromTape());
  }

  @Override
  public int hashCode() {
    return 31 * Arrays.hashCode(fixed) + Arrays.hashCode(live);
  }

  @Override
  public String toString() {
    return Arrays.toString(fixed) + Arrays.toString(live) + words + Arrays.toString(fromTape());
  }
}
