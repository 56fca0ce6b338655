package kelvo.rule;

import java.util.List;
import kelvo.field.Field;
import kelvo.refusal.RefusedException;

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
        throw new RefusedException("between " + low + " and " + high + " holds nothing");
      }
    }
  }

  /**
   * Another field times a factor, and so many points above it.
   *
   * @param points in the unit of both fields; below 0 for points below it
   */
  record OtherField(double factor, double points, Field.Number field, String words)
      implements Bound {
    /** The bound, by the other field's value. */
    double of(double value) {
      return factor * value + points;
    }

    /** As many points on the other side. */
    OtherField mirrored() {
      String turned =
          points > 0
              ? words.replaceFirst(" above ", " below ")
              : words.replaceFirst(" below ", " above ");
      return new OtherField(factor, -points, field, points == 0 ? words : turned);
    }
  }

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
