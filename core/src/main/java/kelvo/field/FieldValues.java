package kelvo.field;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.atomic.AtomicLongArray;
import kelvo.state.TapeMoment;
import org.jspecify.annotations.Nullable;

/**
 * Values of number fields at one moment, in the order of their list, and of word fields by their
 * names. Immutable: what the tape tells is read from it when first asked for, by any thread, and is
 * always the same. The list is shared by all values of a session.
 */
public final class FieldValues {
  /** No values at all. */
  public static final FieldValues NONE =
      new FieldValues(List.of(), new double[0], new double[0], Map.of(), null);

  private final List<Field.Number> fields;
  private final double[] fixed;
  private final double[] live;
  private final Map<String, String> words;
  private final @Nullable TapeMoment moment;

  /** What has been read from the tape so far, as bits; {@link #NOT_READ} where nothing was. */
  private final AtomicLongArray fromTape;

  /** The bits of a NaN that no arithmetic gives. */
  private static final long NOT_READ = 0x7ff8_0000_0000_cafeL;

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
    long[] nothing = new long[moment == null ? 0 : fields.size() - fixed.length - live.length];
    Arrays.fill(nothing, NOT_READ);
    fromTape = new AtomicLongArray(nothing);
  }

  /** The fields, in order. */
  public List<Field.Number> fields() {
    return fields;
  }

  /** How many of the fields, the first ones, stay the same all session. */
  public int settled() {
    return fixed.length;
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
    return after < live.length ? live[after] : fromTape(after - live.length);
  }

  /** Reads one field, and no other: one may look at the last prints, another at the whole day. */
  private double fromTape(int place) {
    TapeMoment then = moment;
    if (then == null) {
      return Double.NaN;
    }
    long known = fromTape.getOpaque(place);
    if (known != NOT_READ) {
      return Double.longBitsToDouble(known);
    }
    Field.Number field = fields.get(fixed.length + live.length + place);
    double value = Objects.requireNonNull(field.fromTape()).at(then);
    fromTape.setOpaque(place, Double.doubleToLongBits(value));
    return value;
  }

  private double[] allFromTape() {
    double[] all = new double[fields.size() - fixed.length - live.length];
    Arrays.setAll(all, this::fromTape);
    return all;
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
        && Arrays.equals(allFromTape(), that.allFromTape());
  }

  @Override
  public int hashCode() {
    return 31 * Arrays.hashCode(fixed) + Arrays.hashCode(live);
  }

  @Override
  public String toString() {
    return Arrays.toString(fixed) + Arrays.toString(live) + words + Arrays.toString(allFromTape());
  }
}
