package kelvo.state;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

class SlidingVolumeProperties {
  private static final long SPAN = 5 * DayTime.MINUTE;

  /** Steps of seconds between prints of two securities; asked after some of them only. */
  @Property(tries = 300)
  void holdsExactlyWhatHappenedInTheSpan(
      @ForAll @Size(max = 200) List<@IntRange(max = 90) Integer> steps) {
    compare(steps, 0, 1);
  }

  @Property(tries = 200)
  void latePrintsCountAtTheirOwnTime(
      @ForAll @Size(max = 120) List<@IntRange(max = 90) Integer> steps,
      @ForAll @IntRange(min = 1, max = 9) int askedEvery) {
    compare(steps, 40, askedEvery);
  }

  /** It came after a newer quote, and nobody asked until it was too old. */
  @Example
  void aLatePrintThatIsTooOldWhenFirstSeenIsNotCounted() {
    TapedSymbol taped = new TapedSymbol(100_000);
    SymbolState state = taped.state();
    long ten = DayTime.of(10, 0);
    taped.trade(ten, 100_000, 100, SaleCondition.REGULAR.bit());
    taped.quote(ten + 10 * DayTime.SECOND, 99_000, 100, 101_000, 100);
    assertThat(state.trades(SlidingSpan.FIVE_MINUTES, ten + 10 * DayTime.SECOND)).isEqualTo(1);

    taped.trade(ten + 5 * DayTime.SECOND, 100_000, 200, SaleCondition.REGULAR.bit());

    assertThat(state.trades(SlidingSpan.FIVE_MINUTES, ten + SPAN + 7 * DayTime.SECOND)).isZero();
    assertThat(state.shares(SlidingSpan.FIVE_MINUTES, ten + SPAN + 7 * DayTime.SECOND)).isZero();
  }

  private static void compare(List<Integer> steps, int mostLate, int askedEvery) {
    TapedSymbol taped = new TapedSymbol(100_000);
    SymbolState state = taped.state();
    List<long[]> prints = new ArrayList<>();
    long now = DayTime.of(10, 0);
    for (int i = 0; i < steps.size(); i++) {
      now += steps.get(i) * DayTime.SECOND;
      long at =
          mostLate > 0 && i % 3 == 2 ? now - steps.get(i) * mostLate / 90 * DayTime.SECOND : now;
      taped.quote(now, 99_000, 100, 101_000, 100);
      taped.trade(at, 100_000, i + 1, SaleCondition.REGULAR.bit());
      prints.add(new long[] {at, i + 1});
      long moment = now;
      if (steps.get(i) % 4 != 0 && i % askedEvery == 0) {
        List<long[]> inside =
            prints.stream().filter(p -> p[0] > moment - SPAN && p[0] <= moment).toList();
        assertThat(state.shares(SlidingSpan.FIVE_MINUTES, now))
            .isEqualTo(inside.stream().mapToLong(p -> p[1]).sum());
        assertThat(state.moment(now).shares(SlidingSpan.FIVE_MINUTES))
            .isEqualTo(state.shares(SlidingSpan.FIVE_MINUTES, now));
        assertThat(state.copy().trades(SlidingSpan.FIVE_MINUTES, now)).isEqualTo(inside.size());
        assertThat(state.nextChange(SlidingSpan.FIVE_MINUTES, now))
            .isEqualTo(inside.stream().mapToLong(p -> p[0] + SPAN).min().orElse(Long.MAX_VALUE));
      }
    }
  }
}
