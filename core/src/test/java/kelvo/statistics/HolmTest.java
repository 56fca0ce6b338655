package kelvo.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

class HolmTest {
  private static final Offset<Double> EXACT = within(1e-12);

  /** The worked example of most textbooks on the method; the values are from memory. */
  @Test
  void fourTestsAreCorrectedStepByStep() {
    assertThat(Holm.corrected(new double[] {0.01, 0.04, 0.03, 0.005}))
        .containsExactly(new double[] {0.03, 0.06, 0.06, 0.02}, EXACT);
  }

  @Property
  void noneGetsSmallerNorLargerThanBySharingTheLevelEqually(
      @ForAll @Size(min = 1, max = 30) List<@DoubleRange(min = 0, max = 1) Double> values) {
    double[] p = values.stream().mapToDouble(value -> value).toArray();
    double[] corrected = Holm.corrected(p);
    for (int i = 0; i < p.length; i++) {
      assertThat(corrected[i]).isBetween(p[i], Math.max(p[i], Math.min(1, p.length * p[i])));
      for (int j = 0; j < p.length; j++) {
        if (p[i] < p[j]) {
          assertThat(corrected[i]).isLessThanOrEqualTo(corrected[j]);
        }
      }
    }
  }
}
