package kelvo.history;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
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
  public static Swings of(List<DailyBar> bars) {
    long[] highs = new long[bars.size()];
    long[] lows = new long[bars.size()];
    int high = 0;
    int low = 0;
    for (int i = EACH_SIDE; i < bars.size(); i++) {
      if (stands(bars, i, 1)) {
        highs[high++] = bars.get(i).high();
      }
      if (stands(bars, i, -1)) {
        lows[low++] = bars.get(i).low();
      }
    }
    long[] sortedHighs = Arrays.copyOf(highs, high);
    long[] sortedLows = Arrays.copyOf(lows, low);
    Arrays.sort(sortedHighs);
    Arrays.sort(sortedLows);
    return new Swings(bars.size() > 2 * EACH_SIDE, sortedHighs, sortedLows);
  }

  /** Whether a bar begins a top, or for the other direction a bottom, of one bar or several. */
  private static boolean stands(List<DailyBar> bars, int i, int direction) {
    int last = i;
    while (last + 1 < bars.size() && inside(bars.get(last + 1), bars.get(i), direction) == 0) {
      last++;
    }
    boolean stands = true;
    for (int k = 1; k <= EACH_SIDE; k++) {
      stands &= inside(bars.get(i - k), bars.get(i), direction) > 0;
      stands &= last + k >= bars.size() || inside(bars.get(last + k), bars.get(i), direction) > 0;
    }
    return stands;
  }

  /** Above 0 when a bar stays inside the extreme of another, 0 when it reaches it. */
  private static int inside(DailyBar bar, DailyBar extreme, int direction) {
    return direction > 0
        ? Long.compare(extreme.high(), bar.high())
        : Long.compare(bar.low(), extreme.low());
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
