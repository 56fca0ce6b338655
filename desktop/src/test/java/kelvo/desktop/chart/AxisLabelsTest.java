package kelvo.desktop.chart;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.desktop.theme.Tone;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class AxisLabelsTest {
  private static AxisLabels labels() {
    return new AxisLabels(400, 88, 0, 200);
  }

  @Test
  void aNameWithRoomStandsAtItsLine() {
    AxisLabels labels = labels();
    labels.price(100, "10.00", Tone.UP);
    labels.level(40, "pm high 10.60", Tone.FADED);

    assertThat(labels.placed()).extracting(AxisLabels.Label::at).containsExactly(40.0);
  }

  @Test
  void aLevelBeyondThePricesThatAreShownIsNotNamed() {
    AxisLabels labels = labels();
    labels.level(-5, "too high", Tone.FADED);
    labels.level(201, "too low", Tone.FADED);

    assertThat(labels.placed()).isEmpty();
  }

  @Property(tries = 200)
  void namesKeepOffEachOtherAndOffThePriceInTheirOrder(
      @ForAll @Size(min = 1, max = 9) List<@DoubleRange(min = 0, max = 200) Double> heights,
      @ForAll @DoubleRange(min = 0, max = 200) double price) {
    AxisLabels labels = labels();
    labels.price(price, "10.00", Tone.UP);
    heights.forEach(at -> labels.level(at, "level", Tone.FADED));

    List<Double> placed = labels.placed().stream().map(AxisLabels.Label::at).toList();

    for (int i = 1; i < placed.size(); i++) {
      assertThat(placed.get(i) - placed.get(i - 1)).isGreaterThanOrEqualTo(12.9);
    }
    assertThat(placed).allMatch(at -> Math.abs(at - price) >= 15.4);
  }
}
