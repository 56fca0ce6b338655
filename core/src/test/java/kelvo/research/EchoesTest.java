package kelvo.research;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class EchoesTest {
  private static final LocalDate DATE = LocalDate.of(2031, 1, 2);

  @Test
  void thoseOfTheSymbolAndThoseOfAllAreCounted() {
    List<ResearchCase> cases =
        List.of(
            InventedCases.one(DATE, 1, 0.03, Map.of()),
            InventedCases.one(DATE.plusDays(1), 1, -0.01, Map.of()),
            InventedCases.one(DATE.plusDays(1), 2, -0.05, Map.of()),
            InventedCases.one(DATE.plusDays(2), 2, Double.NaN, Map.of()));

    assertThat(Echoes.of("Risers", "SYM1", cases, Held.HALF_HOUR).words())
        .isEqualTo(
            "Risers before, until 30 min later: SYM1 1 of 2 rose, +1.0%; all 1 of 3 rose, -1.0%");
  }

  @Test
  void aSymbolThatWasNeverFoundHasNone() {
    List<ResearchCase> cases = List.of(InventedCases.one(DATE, 1, 0.03, Map.of()));

    assertThat(Echoes.of("Risers", "SYM9", cases, Held.CLOSE).words())
        .endsWith("until the close: SYM9 none; all 1 of 1 rose, +3.0%");
    assertThat(Echoes.of("Risers", "SYM9", List.of(), Held.CLOSE).words()).endsWith("all none");
  }
}
