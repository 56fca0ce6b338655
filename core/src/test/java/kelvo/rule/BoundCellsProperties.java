package kelvo.rule;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** A cell keeps exactly the scans whose intervals a value lies in, asked one by one. */
class BoundCellsProperties {
  private static final List<Double> VALUES =
      List.of(
          Double.NEGATIVE_INFINITY,
          -2.0,
          -0.0,
          0.0,
          Double.MIN_VALUE,
          1.0,
          Math.nextUp(1.0),
          1.5,
          2.0,
          Math.nextDown(3.0),
          3.0,
          1e9,
          Double.POSITIVE_INFINITY,
          Double.NaN);

  @Property(seed = "20310312")
  void a_cell_keeps_the_scans_that_are_kept_one_by_one(
      @ForAll("intervals") List<BoundCells.Interval> intervals, @ForAll("values") double value) {
    long shut = 0;
    for (BoundCells.Interval interval : intervals) {
      shut |= interval.keeps(value) ? 0 : interval.scan();
    }

    BoundCells cells = new BoundCells(intervals);
    assertThat(cells.keptIn(cells.cellOf(value))).isEqualTo(~shut);
  }

  @Provide
  Arbitrary<Double> values() {
    return Arbitraries.of(VALUES);
  }

  @Provide
  Arbitrary<List<BoundCells.Interval>> intervals() {
    Arbitrary<Double> bound = Arbitraries.of(VALUES.subList(0, VALUES.size() - 1));
    return Combinators.combine(
            Arbitraries.integers().between(0, 63),
            bound,
            bound,
            Arbitraries.of(true, false),
            Arbitraries.of(true, false))
        .as((scan, a, b, out, or) -> new BoundCells.Interval(1L << scan, a, b, out, or))
        .list()
        .ofMaxSize(40);
  }
}
