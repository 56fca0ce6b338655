package kelvo.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import kelvo.tape.EventTape;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;

class DailyBarListProperties {
  private static final LocalDate FIRST = LocalDate.of(1971, 2, 8);

  @Property
  void givesBackTheBarsThatItWasMadeOfByDate(@ForAll("bars") List<DailyBar> bars) {
    assertThat(DailyBarList.of(bars)).isEqualTo(sorted(bars)).hasSameSizeAs(bars);
  }

  @Property
  void itsRowsAloneTellTheBars(@ForAll("bars") List<DailyBar> bars) {
    assertThat(new DailyBarList(DailyBarList.of(bars).rows())).isEqualTo(sorted(bars));
  }

  @Property
  void theFirstOnesAreThoseBeforeADate(
      @ForAll("bars") List<DailyBar> bars, @ForAll @IntRange(max = 40_000) int day) {
    LocalDate date = FIRST.plusDays(day);
    DailyBarList list = DailyBarList.of(bars);

    assertThat(list.first(list.countBefore(date)))
        .isEqualTo(sorted(bars).stream().filter(bar -> bar.date().isBefore(date)).toList());
  }

  private static List<DailyBar> sorted(List<DailyBar> bars) {
    return bars.stream().sorted(Comparator.comparing(DailyBar::date)).toList();
  }

  @Property
  void aPartOfItIsThatPartOfTheBars(@ForAll("bars") List<DailyBar> bars) {
    int half = bars.size() / 2;

    assertThat(DailyBarList.of(bars).subList(half, bars.size()))
        .isEqualTo(sorted(bars).subList(half, bars.size()));
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
