package kelvo.market;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

class SlidingVolumeProperties {
  private static final long SPAN = 300;

  /** Steps of time between prints; every third print comes up to 50 late. */
  @Property(tries = 300)
  void holdsExactlyWhatHappenedInTheSpan(
      @ForAll @Size(max = 200) List<@IntRange(max = 60) Integer> steps) {
    SlidingVolume window = new SlidingVolume(SPAN);
    List<long[]> prints = new ArrayList<>();
    long now = 1_000;
    for (int i = 0; i < steps.size(); i++) {
      now += steps.get(i);
      long at = i % 3 == 2 ? now - steps.get(i) * 50L / 60 : now;
      window.add(at, i + 1);
      prints.add(new long[] {at, i + 1});
      long moment = now;
      long expected =
          prints.stream()
              .filter(p -> p[0] > moment - SPAN && p[0] <= moment)
              .mapToLong(p -> p[1])
              .sum();
      long count = prints.stream().filter(p -> p[0] > moment - SPAN && p[0] <= moment).count();

      assertThat(window.shares(now)).isEqualTo(expected);
      assertThat(window.trades(now)).isEqualTo((int) count);
    }
  }

  @Property(tries = 100)
  void aCopyIsTheSameWindow(@ForAll @Size(max = 100) List<@IntRange(max = 40) Integer> steps) {
    SlidingVolume window = new SlidingVolume(SPAN);
    long now = 0;
    for (int step : steps) {
      now += step;
      window.add(now, 5);
    }
    SlidingVolume copy = new SlidingVolume(SPAN);
    copy.copyFrom(window);

    assertThat(copy.shares(now + 100)).isEqualTo(window.shares(now + 100));
    assertThat(copy.nextChange(now + 100)).isEqualTo(window.nextChange(now + 100));
  }
}
