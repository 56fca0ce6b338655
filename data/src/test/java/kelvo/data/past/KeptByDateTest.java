package kelvo.data.past;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class KeptByDateTest {
  private static final LocalDate FIRST = LocalDate.of(2031, 3, 10);

  private final KeptByDate<List<Integer>> kept = new KeptByDate<>(3);

  @Test
  void whatWasNotAskedForLongestGoesFirst() {
    for (int day = 0; day < 3; day++) {
      kept.put(FIRST.plusDays(day), List.of(day));
    }
    assertThat(kept.get(FIRST)).containsExactly(0);

    kept.put(FIRST.plusDays(3), List.of(3));
    kept.change(FIRST.plusDays(4), List.of(), was -> List.of(4));

    assertThat(Stream.iterate(0, day -> day < 5, day -> day + 1).map(FIRST::plusDays))
        .filteredOn(date -> kept.get(date) != null)
        .containsExactly(FIRST, FIRST.plusDays(3), FIRST.plusDays(4));
  }

  @Test
  void whatIsKeptIsChangedInItsPlace() {
    kept.put(FIRST, List.of(1));
    kept.change(FIRST, List.of(9), was -> List.of(was.getFirst() + 1));
    kept.change(FIRST.plusDays(1), List.of(9), was -> List.of(was.getFirst() + 1));

    assertThat(kept.get(FIRST)).containsExactly(2);
    assertThat(kept.get(FIRST.plusDays(1))).containsExactly(10);
  }
}
