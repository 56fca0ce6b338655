package kelvo.desktop.chart;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import kelvo.tape.Price;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class AxisTest {
  private static List<String> labels(double low, double high, int most) {
    return new Axis(low, high, 0, 100).steps(most).stream().map(Price::text).toList();
  }

  @Test
  void stepsAreRound() {
    assertThat(labels(6.185, 6.215, 4)).containsExactly("6.19", "6.20", "6.21");
    assertThat(labels(13.9, 14.74, 3)).containsExactly("14.00", "14.25", "14.50");
    assertThat(labels(2, 41, 4)).containsExactly("10.00", "20.00", "30.00", "40.00");
    assertThat(labels(0.41, 0.4399, 3)).containsExactly("0.4100", "0.4200", "0.4300");
  }

  /** The same label twice would be two heights for one price. */
  @Property(tries = 300)
  void noTwoReadTheSameAndThereAreNotTooMany(
      @ForAll @IntRange(min = 500, max = 9_000_000) int low,
      @ForAll @IntRange(min = 1, max = 8_000) int part,
      @ForAll @IntRange(min = 2, max = 12) int most) {
    List<String> labels = labels(low / 1e4, low / 1e4 * (1 + part / 1e4), most);

    assertThat(new HashSet<>(labels)).hasSameSizeAs(labels);
    assertThat(labels).hasSizeLessThanOrEqualTo(most + 1);
  }
}
