package kelvo.scan;

import java.util.Arrays;
import java.util.List;
import kelvo.field.Field;

/**
 * Values of number fields at one moment, in the order of their list. Immutable; the list is shared
 * by all values of a session.
 */
public final class FieldValues {
  private final List<Field.Number> fields;
  private final double[] values;

  /** Takes over the array, which nobody else may change. */
  public FieldValues(List<Field.Number> fields, double[] values) {
    this.fields = fields;
    this.values = values;
  }

  /** The fields, in order. */
  public List<Field.Number> fields() {
    return fields;
  }

  /** The value of the field at a place; NaN when unknown. */
  public double at(int place) {
    return values[place];
  }

  /** The value of the field of these words; NaN when unknown or not recorded. */
  public double of(String words) {
    for (int i = 0; i < values.length; i++) {
      if (fields.get(i).words().equals(words)) {
        return values[i];
      }
    }
    return Double.NaN;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof FieldValues that && Arrays.equals(values, that.values);
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(values);
  }

  @Override
  public String toString() {
    return Arrays.toString(values);
  }
}
