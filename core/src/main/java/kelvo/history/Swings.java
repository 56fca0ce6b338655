package kelvo.history;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import kelvo.tape.Price;

/**
 * The daily swing highs and lows of one security: bars with two lower highs, or two higher lows, on
 * each side; of the last two bars as many later ones as there are. Equal highs in a row are one.
 * Immutable.
 */
public final class Swings {
  private static final int EACH_SIDE = 2;

  /** A hundredth of a price lies within one resistance. */
  private static final long RESISTANCE = 100;

  private final boolean known;
  private final long[] highs;
  private final long[] lows;

  private Swings(boolean known, long[] highs, long[] lows) {
    this.known = known;
    this.highs = highs;
    this.lows = lows;
  }

  /** The swings of some daily bars, oldest first; unknown with fewer than five. */
  public static Swings of(DailyBarList bars) {
    long[] highs = new long[bars.size()];
    long[] depths = new long[bars.size()];
    for (int i = 0; i < highs.length; i++) {
      highs[i] = bars.high(i);
      depths[i] = -bars.low(i);
    }
    long[] tops = tops(highs);
    long[] bottoms = Arrays.stream(tops(depths)).map(depth -> -depth).sorted().toArray();
    return new Swings(bars.size() > 2 * EACH_SIDE, tops, bottoms);
  }

  /** The heights of the tops of a line, sorted. */
  private static long[] tops(long[] line) {
    return IntStream.range(EACH_SIDE, line.length)
        .filter(i -> isTop(line, i))
        .mapToLong(i -> line[i])
        .sorted()
        .toArray();
  }

  /** Whether a place begins a top, of one height or several equal ones. */
  private static boolean isTop(long[] line, int i) {
    int last = i;
    while (last + 1 < line.length && line[last + 1] == line[i]) {
      last++;
    }
    boolean top = true;
    for (int k = 1; k <= EACH_SIDE; k++) {
      top &= line[i - k] < line[i];
      top &= last + k >= line.length || line[last + k] < line[i];
    }
    return top;
  }

  /** The nearest swing high above a price; {@link Price#NONE} when there is none. */
  long above(long price) {
    int place = Arrays.binarySearch(highs, price + 1);
    int next = place < 0 ? -place - 1 : place;
    return next == highs.length ? Price.NONE : highs[next];
  }

  /**
   * The nearest swing highs above a price, nearest first, each at least 1% above the one before:
   * closer ones are the same resistance (common practice, no source).
   *
   * @param most how many at most
   */
  public List<Long> overhead(long price, int most) {
    List<Long> found = new ArrayList<>();
    long next = above(price);
    while (next != Price.NONE && found.size() < most) {
      found.add(next);
      next = above(next + next / RESISTANCE);
    }
    return found;
  }

  /** The nearest swing low below a price; {@link Price#NONE} when there is none. */
  public long below(long price) {
    int place = Arrays.binarySearch(lows, price);
    int next = (place < 0 ? -place - 1 : place) - 1;
    return next < 0 ? Price.NONE : lows[next];
  }

  /** How far the nearest swing high above a price is, %; infinite when it is clear. */
  public double overhead(long price) {
    if (!known || price == Price.NONE) {
      return Double.NaN;
    }
    long next = above(price);
    return next == Price.NONE ? Double.POSITIVE_INFINITY : 100.0 * (next - price) / price;
  }

  /** How far the nearest swing low below a price is, %; infinite when it is clear. */
  public double roomBelow(long price) {
    if (!known || price == Price.NONE) {
      return Double.NaN;
    }
    long next = below(price);
    return next == Price.NONE ? Double.POSITIVE_INFINITY : 100.0 * (price - next) / price;
  }
}
