package kelvo.desktop.chart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

class ChartSpanProperties {
  private static final double MIN = 10;
  private static final double LAST = 250;
  private static final double WIDTH = 500;

  private static ChartSpan laid() {
    ChartSpan span = new ChartSpan(MIN);
    lay(span);
    return span;
  }

  private static void lay(ChartSpan span) {
    span.lay(0, LAST, 150, LAST, WIDTH);
  }

  @Property
  void whatIsUnderThePointerStaysThereWhenZoomingIn(
      @ForAll @DoubleRange(min = 0, max = WIDTH) double x, @ForAll @IntRange(max = 8) int times) {
    ChartSpan span = laid();
    double pointed = span.at(x);
    for (int i = 0; i < times; i++) {
      span.zoom(x, true);
    }

    assertThat(span.at(x)).isCloseTo(pointed, within(1e-6));
    assertThat(span.x(pointed)).isCloseTo(x, within(1e-6));
  }

  /** Whatever the hand does, something stays in sight, and it can always go back. */
  @Property
  void somethingStaysInSight(
      @ForAll @Size(max = 40) List<@DoubleRange(min = -WIDTH, max = WIDTH) Double> moves) {
    ChartSpan span = laid();
    for (double move : moves) {
      if (Math.abs(move) < 100) {
        span.zoom(Math.abs(move), move > 0);
      } else {
        span.drag(move);
      }
      lay(span);

      assertThat(span.to() - span.from()).isBetween(MIN - 1e-6, LAST + 1e-6);
      assertThat(span.from()).isLessThanOrEqualTo(LAST - MIN + 1e-6);
      assertThat(span.to()).isGreaterThanOrEqualTo(MIN - 1e-6);
    }
    span.follow();
    lay(span);

    assertThat(span.from()).isEqualTo(150);
    assertThat(span.to()).isEqualTo(LAST);
  }
}
