package kelvo.rule;

import java.util.List;
import kelvo.field.Field;

/** What a field is held against. */
public sealed interface Bound {
  /** The bound as written in a sentence. */
  String words();

  /** A number in the field's unit. */
  record Amount(double value, String words) implements Bound {}

  /** Two numbers, both included. */
  record Range(double low, double high, String words) implements Bound {
    public Range {
      if (low > high) {
        throw new IllegalArgumentException("between " + low + " and " + high + " holds nothing");
      }
    }
  }

  /** Another field times a factor. */
  record Times(double factor, Field.Number field, String words) implements Bound {}

  /** One or several words. */
  record Words(List<String> all) implements Bound {
    public Words {
      all = List.copyOf(all);
    }

    @Override
    public String words() {
      return String.join(", ", all);
    }
  }
}
