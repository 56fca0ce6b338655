package kelvo.desktop.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

/** The scale of a blind chart. */
class PercentScaleTest {
  private static List<String> words(double low, double high) {
    PercentScale scale = PercentScale.of(low, high, 0, 100);
    return scale.lines().stream().map(scale::words).toList();
  }

  @Test
  void linesAreDrawnAtRoundNumbers() {
    assertThat(words(-0.2, 7.8)).containsExactly("0%", "+2%", "+4%", "+6%", "+8%");
    assertThat(words(0, 2.6)).containsExactly("0%", "+0.5%", "+1.0%", "+1.5%", "+2.0%", "+2.5%");
    assertThat(words(-41, 3)).containsExactly("-40%", "-30%", "-20%", "-10%", "0%");
  }

  @Test
  void whatIsFlatHasAScaleToo() {
    assertThat(words(0, 0)).startsWith("0%").doesNotHaveDuplicates().hasSizeGreaterThan(2);
  }

  @Test
  void thereIsRoomAboveAndBelow() {
    PercentScale scale = PercentScale.of(-1, 3, 10, 100);
    assertThat(scale.y(3)).isGreaterThan(12);
    assertThat(scale.y(-1)).isLessThan(108);
    assertThat(scale.y(1)).isCloseTo(60, within(1e-9));
  }
}
