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

  private final long[] keptIn;

  /** By cell, the scans that keep some value of it or of a cell above. */
  private final long[] keptFrom;

  private final long keptUnknown;

  BoundCells(List<Interval> intervals) {
    TreeSet<Double> bounds = new TreeSet<>();
    for (Interval interval : intervals) {
      bounds.add(interval.low);
      bounds.add(Math.nextUp(interval.high));
    }
    bounds.remove(Double.NEGATIVE_INFINITY);
    cuts = new double[Integer.highestOneBit(Math.max(1, bounds.size())) * 2];
    Arrays.fill(cuts, Double.NaN);
    keptIn = new long[bounds.size() + 1];
    keptIn[0] = kept(intervals, Double.NEGATIVE_INFINITY);
    int cell = 0;
    for (double bound : bounds) {
      cuts[cell++] = bound;
      keptIn[cell] = kept(intervals, bound);
    }
    keptUnknown = kept(intervals, Double.NaN);
    keptFrom = keptIn.clone();
    for (int i = keptFrom.length - 2; i >= 0; i--) {
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

  /** The scans that do not shut a value out; those without a bound on this field are among them. */
  long keeping(double value) {
    if (Double.isNaN(value)) {
      return keptUnknown;
    }
    return keptIn[cellOf(value)];
  }

  /** The scans that do not shut out a value and all that are greater; none when it is unknown. */
  long keepingFrom(double value) {
    return Double.isNaN(value) ? 0 : keptFrom[cellOf(value)];
  }

  private int cellOf(double value) {
    int cell = 0;
    for (int step = cuts.length >> 1; step > 0; step >>= 1) {
      cell += cuts[cell + step - 1] <= value ? step : 0;
    }
    return cell;
  }
}
