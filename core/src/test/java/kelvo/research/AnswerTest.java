package kelvo.research;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

class AnswerTest {
  private static final int SEEDS = Boolean.getBoolean("kelvo.proofs") ? 200 : 40;

  private static Answer answer(List<ResearchCase> cases) {
    return Answer.of(InventedCases.QUESTION, Held.CLOSE, cases);
  }

  private static CutCell smallFloats(Answer answer) {
    return answer.cells().stream()
        .filter(cell -> cell.name().equals("under 5M"))
        .findFirst()
        .orElseThrow();
  }

  /** Whole answers, thirteen tests each, of cases in which there is nothing to find. */
  @Tag("sampled")
  @Tag("proof")
  @Test
  void chanceCarriesAtMostOneAnswerInTwenty() {
    long carried =
        IntStream.range(0, SEEDS)
            .parallel()
            .filter(
                seed -> {
                  Answer answer = answer(InventedCases.of(new SplittableRandom(seed), 60, 0));
                  return Stream.concat(
                          Stream.of(answer.sample()), answer.cells().stream().map(CutCell::sample))
                      .anyMatch(Sample.CARRIES_IT::equals);
                })
            .count();

    assertThat(carried).isLessThanOrEqualTo(SEEDS / 20);
  }

  @Test
  void aPlantedEdgeIsFoundAtItsSize() {
    int[] found = new int[2];
    for (int seed = 0; seed < 20; seed++) {
      Answer answer = answer(InventedCases.of(new SplittableRandom(seed), 60, 0.05));
      CutCell cell = smallFloats(answer);
      found[0] += cell.sample() == Sample.CARRIES_IT ? 1 : 0;
      found[1] += cell.figures().mean().low() < 0.05 && cell.figures().mean().high() > 0.05 ? 1 : 0;
      assertThat(answer.cells())
          .filteredOn(other -> other.cut().equals(Cut.SECTOR))
          .noneMatch(other -> other.sample() == Sample.CARRIES_IT);
    }

    assertThat(found[0]).as("answers that find it").isGreaterThanOrEqualTo(18);
    assertThat(found[1]).as("intervals that hold its size").isGreaterThanOrEqualTo(17);
    Answer answer = answer(InventedCases.of(new SplittableRandom(1), 60, 0.05));
    assertThat(answer.words()).contains("Float under 5M carries it: +");
    assertThat(answer.of(answer.edge().orElseThrow()))
        .isNotEmpty()
        .allMatch(one -> "under 5M".equals(one.cells().get(Cut.FLOAT)));
  }

  @Test
  void anEdgeThatDoesNotHoldInTheLastThirdIsAHintAtMost() {
    SplittableRandom random = new SplittableRandom(3);
    List<ResearchCase> cases = new ArrayList<>(InventedCases.of(random, 40, 0.1));
    LocalDate later = LocalDate.of(2031, 6, 1);
    for (ResearchCase one : InventedCases.of(random, 20, -0.03)) {
      cases.add(
          InventedCases.one(
              later.plusDays(one.date().getDayOfYear()),
              (int) (one.at() / 60_000_000_000L % 60),
              one.result(Held.CLOSE),
              one.cells()));
    }

    CutCell cell = smallFloats(answer(cases));

    assertThat(cell.corrected()).isLessThan(0.05);
    assertThat(cell.sample()).isEqualTo(Sample.HINTS);
  }

  @Test
  void fewCasesOrFewSessionsCarryNothing() {
    assertThat(Sample.of(0.001, 0.01, 40, 15, true)).isEqualTo(Sample.CARRIES_IT);
    assertThat(Sample.of(0.001, 0.01, 39, 15, true)).isEqualTo(Sample.HINTS);
    assertThat(Sample.of(0.001, 0.01, 40, 14, true)).isEqualTo(Sample.HINTS);
    assertThat(Sample.of(0.001, 0.06, 40, 15, true)).isEqualTo(Sample.HINTS);
    assertThat(Sample.of(0.06, 0.06, 40, 15, true)).isEqualTo(Sample.SAYS_NOTHING);
  }

  @Test
  void casesWithoutAResultByThenAreKeptAndNotCounted() {
    ResearchCase known = InventedCases.one(LocalDate.of(2031, 3, 3), 1, 0.02, Map.of());
    ResearchCase unknown = InventedCases.one(LocalDate.of(2031, 3, 4), 2, Double.NaN, Map.of());

    Answer answer = answer(List.of(unknown, known));

    assertThat(answer.cases()).containsExactly(known, unknown);
    assertThat(answer.figures().cases()).isEqualTo(1);
    assertThat(answer.words())
        .startsWith("The sample says nothing: +2.0% in the mean until the close");
    assertThat(answer(List.of(unknown)).words()).isEqualTo("No case has a result by then.");
  }

  @Test
  void cellsComeInTheirOwnOrder() {
    Answer answer = answer(InventedCases.of(new SplittableRandom(5), 60, 0));

    assertThat(answer.cells())
        .extracting(CutCell::name)
        .containsSubsequence("under 5M", "5-10M", "10-20M", "over 20M")
        .containsSubsequence("Monday", "Tuesday", "Wednesday", "Thursday", "Friday");
  }
}
