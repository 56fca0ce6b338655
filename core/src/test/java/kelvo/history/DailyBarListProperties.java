package kelvo.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import kelvo.tape.EventTape;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

class DailyBarListProperties {
  private static final LocalDate FIRST = LocalDate.of(1971, 2, 8);

  @Property
  void givesBackTheBarsThatItWasMadeOf(@ForAll("bars") List<DailyBar> bars) {
    assertThat(DailyBarList.of(bars)).isEqualTo(bars).hasSameSizeAs(bars);
  }

  @Property
  void aPartOfItIsThatPartOfTheBars(@ForAll("bars") List<DailyBar> bars) {
    int half = bars.size() / 2;

    assertThat(DailyBarList.of(bars).subList(half, bars.size()))
        .isEqualTo(bars.subList(half, bars.size()));
  }

  @Example
  void hasNothingBeyondItsEnd() {
    assertThatThrownBy(() -> DailyBarList.of(List.of()).get(0))
        .isInstanceOf(IndexOutOfBoundsException.class);
  }

  @Provide
  Arbitrary<List<DailyBar>> bars() {
    Arbitrary<Long> prices = Arbitraries.longs().between(1, EventTape.GREATEST_PRICE);
    Arbitrary<Long> counts = Arbitraries.longs().between(0, EventTape.MAX_SHARES);
    Arbitrary<Integer> days = Arbitraries.integers().between(0, 40_000);
    return Combinators.combine(days, prices, prices, counts, counts)
        .as(
            (day, a, b, volume, trades) ->
                new DailyBar(
                    FIRST.plusDays(day), a, Math.max(a, b), Math.min(a, b), b, volume, trades))
        .list()
        .ofMaxSize(300);
  }
}
