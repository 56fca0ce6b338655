package kelvo.news;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Holds the reading of headlines against invented ones that were labelled by hand before any rule
 * was written.
 */
class NewsReaderTest {
  /** Labelled apart from the rules; their author has looked at what they got wrong here. */
  private static final String SEEN = "labelled-headlines.csv";

  /** Written after the rules, which were not changed for them: the honest measure. */
  private static final String UNSEEN = "unseen-headlines.csv";

  private static final double MIN_F1 = 0.80;
  private static final double MIN_RIGHT_TONES = 0.65;
  private static final double CLEAR_TONE = 0.15;

  private record Labelled(NewsCategory category, String tone, String headline) {}

  /** How often a category was found rightly, wrongly, and not found. */
  private static final class Score {
    int right;
    int wrong;
    int left;

    double precision() {
      return right == 0 ? 0 : right / (double) (right + wrong);
    }

    double recall() {
      return right == 0 ? 0 : right / (double) (right + left);
    }

    double f1() {
      return right == 0 ? 0 : 2 * precision() * recall() / (precision() + recall());
    }
  }

  private static List<Labelled> labelled(String file) {
    try (var in = NewsReaderTest.class.getResourceAsStream(file)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8)
          .lines()
          .skip(1)
          .map(
              line -> {
                String[] parts = line.split(",", 3);
                NewsCategory category =
                    parts[0].equals("rating")
                        ? NewsCategory.RATING
                        : NewsCategory.valueOf(parts[0].toUpperCase(java.util.Locale.ROOT));
                return new Labelled(category, parts[1], parts[2]);
              })
          .toList();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  @ParameterizedTest
  @CsvSource({SEEN + ", 150", UNSEEN + ", 70"})
  void findsTheCategoryOfLabelledHeadlines(String file, int atLeast) {
    Map<NewsCategory, Score> scores = new EnumMap<>(NewsCategory.class);
    for (NewsCategory category : NewsCategory.values()) {
      scores.put(category, new Score());
    }
    List<Labelled> all = labelled(file);
    for (Labelled one : all) {
      NewsCategory found = NewsReader.read(one.headline(), "").category();
      if (found == one.category()) {
        scores.get(found).right++;
      } else {
        scores.get(found).wrong++;
        scores.get(one.category()).left++;
        System.out.println(
            "read as %s, labelled %s: %s"
                .formatted(found.words(), one.category().words(), one.headline()));
      }
    }
    System.out.println("category             precision recall  F1");
    scores.forEach(
        (category, s) ->
            System.out.println(
                "%-20s %.2f      %.2f    %.2f"
                    .formatted(category.words(), s.precision(), s.recall(), s.f1())));
    double macro = scores.values().stream().mapToDouble(Score::f1).average().orElse(0);
    System.out.println("macro F1 over %d headlines: %.3f".formatted(all.size(), macro));

    assertThat(all).hasSizeGreaterThanOrEqualTo(atLeast);
    assertThat(macro).isGreaterThanOrEqualTo(MIN_F1);
  }

  @ParameterizedTest
  @ValueSource(strings = {SEEN, UNSEEN})
  void findsTheToneOfThoseThatHaveOne(String file) {
    List<Labelled> toned = labelled(file).stream().filter(one -> !one.tone().equals("0")).toList();

    long right =
        toned.stream()
            .filter(
                one -> {
                  double tone = NewsReader.read(one.headline(), "").tone();
                  boolean is = one.tone().equals("+") ? tone > CLEAR_TONE : tone < -CLEAR_TONE;
                  if (!is) {
                    System.out.println(
                        "tone " + tone + ", labelled " + one.tone() + ": " + one.headline());
                  }
                  return is;
                })
            .count();

    assertThat(right / (double) toned.size()).isGreaterThanOrEqualTo(MIN_RIGHT_TONES);
  }

  @Test
  void saysWhichWordsDecided() {
    NewsReading reading =
        NewsReader.read("Tideline Systems prices $25 million public offering below the market", "");

    assertThat(reading.category()).isEqualTo(NewsCategory.OFFERING);
    assertThat(reading.weight()).isEqualTo(NewsCategory.Weight.HIGH);
    assertThat(reading.tone()).isNegative();
    assertThat(reading.deciding()).contains("offering", "below");
  }

  @Test
  void theBodyDecidesWhereTheHeadlineSaysNothing() {
    NewsReading reading =
        NewsReader.read(
            "A letter to our holders",
            "The board has approved a reverse stock split; the split takes effect on Monday.");

    assertThat(reading.category()).isEqualTo(NewsCategory.SPLIT);
  }
}
