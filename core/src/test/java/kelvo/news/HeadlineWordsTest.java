package kelvo.news;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class HeadlineWordsTest {
  private static List<Catalyst> headlines(String... texts) {
    return Stream.of(texts).map(t -> new Catalyst(0, "Wire", t, "", List.of())).toList();
  }

  @Test
  void countsHeadlinesAndNotRepeatsWithinOne() {
    assertThat(
            HeadlineWords.of(
                headlines(
                    "Tidal power, tidal profits",
                    "Tidal order for Maren",
                    "More tidal power",
                    "Power cut in Elben"),
                Set.of(),
                5))
        .containsExactly(new HeadlineWords.Count("power", 3), new HeadlineWords.Count("tidal", 3));
  }

  @Test
  void shortAndEmptyWordsAreNothing() {
    assertThat(
            HeadlineWords.of(
                headlines("This is at sea", "This is at sea", "This is at sea"), Set.of(), 5))
        .isEmpty();
  }

  @Test
  void wordsThatManyCompaniesHaveInTheirNamesAreFiller() {
    List<String> names =
        IntStream.range(0, 40)
            .mapToObj(i -> (i == 0 ? "Tidal" : "Firm" + (char) ('a' + i % 26)) + " Industries")
            .toList();
    Set<String> common = HeadlineWords.commonInNames(names);

    assertThat(common).containsExactly("industries");
    assertThat(
            HeadlineWords.of(
                headlines("Tidal Industries up", "Tidal Industries down", "Tidal Industries flat"),
                common,
                5))
        .containsExactly(new HeadlineWords.Count("tidal", 3));
  }
}
