package kelvo.history;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import kelvo.tape.Price;
import org.jspecify.annotations.Nullable;

/**
 * The daily bars of one security before a session, oldest first, adjusted for every split effective
 * up to and including that session, so that they compare with its prices. Immutable.
 */
public final class DailyHistory {
  /** No history at all. */
  public static final DailyHistory NONE = new DailyHistory(DailyBarList.NONE, LocalDate.EPOCH);

  private static final int DAYS_OF_52_WEEKS = 364;
  private static final int MIN_OF_52_WEEKS = 20;

  private final DailyBarList bars;
  private final int withinYear;

  /** Worked out when first asked for: few are. Any thread may do it, each to the same end. */
  private volatile double @Nullable [] closes;

  private DailyHistory(DailyBarList bars, LocalDate session) {
    this.bars = bars;
    withinYear = bars.size() - bars.countBefore(session.minusDays(DAYS_OF_52_WEEKS));
  }

  /** The bars of {@code asTraded} before {@code session}, adjusted for the security's splits. */
  public static DailyHistory before(
      LocalDate session, DailyBarList asTraded, List<CorporateAction> splits) {
    DailyBarList before = asTraded.first(asTraded.countBefore(session));
    return new DailyHistory(
        splits.isEmpty()
            ? before
            : DailyBarList.of(
                before.stream()
                    .map(bar -> adjusted(bar, ratioBetween(bar.date(), session, splits)))
                    .toList()),
        session);
  }

  /**
   * The first bars of {@code asTraded} after {@code session}, in the shares of that session.
   *
   * @param most how many at most
   */
  public static List<DailyBar> after(
      LocalDate session, DailyBarList asTraded, List<CorporateAction> splits, int most) {
    int from = asTraded.countBefore(session.plusDays(1));
    return asTraded.subList(from, Math.min(asTraded.size(), from + most)).stream()
        .map(bar -> adjusted(bar, 1 / ratioBetween(session, bar.date(), splits)))
        .toList();
  }

  /** The bar of a day as it was traded; null when there is none. */
  public static @Nullable DailyBar on(LocalDate day, DailyBarList asTraded) {
    int place = asTraded.countBefore(day);
    return place < asTraded.size() && asTraded.get(place).date().equals(day)
        ? asTraded.get(place)
        : null;
  }

  private static DailyBar adjusted(DailyBar bar, double ratio) {
    return ratio == 1 ? bar : bar.adjusted(ratio);
  }

  /** The product of the splits effective after {@code earlier} and up to {@code session}. */
  public static double ratioBetween(
      LocalDate earlier, LocalDate session, List<CorporateAction> splits) {
    double ratio = 1;
    for (CorporateAction split : splits) {
      if (split.date().isAfter(earlier) && !split.date().isAfter(session)) {
        ratio *= split.ratio();
      }
    }
    return ratio;
  }

  /** All bars, oldest first. */
  public DailyBarList bars() {
    return bars;
  }

  /** The number of bars. */
  public int size() {
    return bars.size();
  }

  /** The newest bar; call only when {@link #size} is above 0. */
  public DailyBar last() {
    return bars.getLast();
  }

  /** The newest close, {@link Price} units; call only when {@link #size} is above 0. */
  public long lastClose() {
    return bars.close(bars.size() - 1);
  }

  /** Closes in dollars, oldest first. Not to be changed. */
  public double[] closes() {
    double[] known = closes;
    if (known == null) {
      known = closesInDollars();
      closes = known;
    }
    return known;
  }

  private double[] closesInDollars() {
    double[] dollars = new double[bars.size()];
    for (int i = 0; i < dollars.length; i++) {
      dollars[i] = Price.dollars(bars.close(i));
    }
    return dollars;
  }

  /** Mean of close times volume over the last n sessions, dollars; NaN when there are fewer. */
  public double averageMoney(int n) {
    if (n <= 0 || bars.size() < n) {
      return Double.NaN;
    }
    double sum = 0;
    for (int i = bars.size() - n; i < bars.size(); i++) {
      sum += Price.dollars(bars.close(i)) * bars.volume(i);
    }
    return sum / n;
  }

  /** Highest high of the last n sessions; {@link Price#NONE} when there are fewer. */
  public long highest(int n) {
    return n <= 0 || bars.size() < n
        ? Price.NONE
        : places(n).mapToLong(bars::high).max().orElse(Price.NONE);
  }

  /** Lowest low of the last n sessions; {@link Price#NONE} when there are fewer. */
  public long lowest(int n) {
    return n <= 0 || bars.size() < n
        ? Price.NONE
        : places(n).mapToLong(bars::low).min().orElse(Price.NONE);
  }

  private IntStream places(int newest) {
    return IntStream.range(bars.size() - newest, bars.size());
  }

  /**
   * How many of the bars are of the 52 weeks before the session, by date: all of them when it was
   * listed since; 0 with fewer than 20, which are too few to speak of a year's high.
   */
  public int sessionsOf52Weeks() {
    return withinYear < MIN_OF_52_WEEKS ? 0 : withinYear;
  }

  /** The last n bars, or all when there are fewer. */
  public DailyBarList lastOnes(int n) {
    return bars.newest(n);
  }

  /** Mean volume of the last n sessions, shares; unknown (NaN) when there are fewer. */
  public double averageVolume(int n) {
    if (n <= 0 || bars.size() < n) {
      return Double.NaN;
    }
    long sum = 0;
    for (int i = bars.size() - n; i < bars.size(); i++) {
      sum += bars.volume(i);
    }
    return sum / (double) n;
  }
}
