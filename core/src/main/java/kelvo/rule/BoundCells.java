package kelvo.rule;

import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;

/**
 * The bounds that many scans set on one field, sorted: they cut the number line into cells, and the
 * cell that a value lies in tells by one look which of the scans it keeps. Scans are bits of a
 * long.
 */
final class BoundCells {
  /**
   * One scan's interval, both ends included.
   *
   * @param scan the scan's bit
   * @param outside whether values outside the interval are wanted, not those inside
   * @param orUnknown whether an unknown value is wanted too
   */
  record Interval(long scan, double low, double high, boolean outside, boolean orUnknown) {
    boolean keeps(double value) {
      return Double.isNaN(value) ? orUnknown : (value >= low && value <= high) != outside;
    }
  }

  /** The least value of each cell but the first; a power of two of them, filled up with NaN. */
  private final double[] cuts;

  /**
   * The least value of each cell, and infinity. What is unknown has a cell of its own after all
   * others, in which no value lies.
   */
  private final double[] from;

  private final long[] keptIn;

  /** By cell, the scans that keep some value of it or of a cell above. */
  private final long[] keptFrom;

  BoundCells(List<Interval> intervals) {
    TreeSet<Double> bounds = new TreeSet<>();
    for (Interval interval : intervals) {
      bounds.add(interval.low);
      bounds.add(Math.nextUp(interval.high));
    }
    bounds.remove(Double.NEGATIVE_INFINITY);
    cuts = new double[Integer.highestOneBit(Math.max(1, bounds.size())) * 2];
    Arrays.fill(cuts, Double.NaN);
    int unknown = bounds.size() + 1;
    from = new double[unknown + 2];
    keptIn = new long[unknown + 1];
    from[0] = Double.NEGATIVE_INFINITY;
    keptIn[0] = kept(intervals, Double.NEGATIVE_INFINITY);
    int cell = 0;
    for (double bound : bounds) {
      cuts[cell++] = bound;
      from[cell] = bound;
      keptIn[cell] = kept(intervals, bound);
    }
    from[unknown] = Double.POSITIVE_INFINITY;
    from[unknown + 1] = Double.NaN;
    keptIn[unknown] = kept(intervals, Double.NaN);
    keptFrom = keptIn.clone();
    keptFrom[unknown] = 0;
    for (int i = unknown - 2; i >= 0; i--) {
      keptFrom[i] |= keptFrom[i + 1];
    }
  }

  private static long kept(List<Interval> intervals, double value) {
    long kept = -1L;
    for (Interval interval : intervals) {
      kept &= interval.keeps(value) ? -1L : ~interval.scan;
    }
    return kept;
  }

  /** Whether a value lies in a cell, by two comparisons; never when it is unknown or infinite. */
  boolean liesIn(int cell, double value) {
    return value >= from[cell] && value < from[cell + 1];
  }

  /** The cell of a value, or that of the unknown. */
  int cellOf(double value) {
    if (Double.isNaN(value)) {
      return keptIn.length - 1;
    }
    int cell = 0;
    for (int step = cuts.length >> 1; step > 0; step >>= 1) {
      cell += cuts[cell + step - 1] <= value ? step : 0;
    }
    return cell;
  }

  /** The scans that do not shut a cell out; those without a bound on this field are among them. */
  long keptIn(int cell) {
    return keptIn[cell];
  }

  /** The scans that do not shut out a cell and all above it; none when the value is unknown. */
  long keptFrom(int cell) {
    return keptFrom[cell];
  }
}
