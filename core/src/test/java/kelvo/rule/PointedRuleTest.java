package kelvo.rule;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.Unit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PointedRuleTest {
  private static List<String> sentences(String field, String shown) {
    return PointedRule.of(field(field), shown, Vocabulary.DEFAULT).stream()
        .map(Rule::sentence)
        .toList();
  }

  private static Field field(String words) {
    return Vocabulary.DEFAULT.find(words).orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({
    "gap, 14.5%, gap at least 14.5%",
    "gap, -3.0, gap at least -3.0%",
    "premarket volume, 246K, premarket volume at least 246K",
    "price, $14.43, price at least 14.43",
    "float turnover, 0.01x, float turnover at least 0.01x",
    "minutes since news, 180 min, minutes since news at least 180",
    "split flag, no, split flag is no",
    "kind, common stock, kind is common stock",
  })
  void aValueAsItIsShownSuggestsARule(String field, String shown, String sentence) {
    assertThat(sentences(field, shown)).first().isEqualTo(sentence);
  }

  @Test
  void everyNumberOfTheCatalogueCanBePointedAtAsItIsShown() {
    for (Field field : FieldCatalogue.usual()) {
      if (field.unit() != Unit.WORD && field.unit() != Unit.FLAG) {
        for (double value : new double[] {0.25, 7, 1_234, 56_000, 7_800_000}) {
          String shown = field.unit().withSign(field.unit().text(value));
          assertThat(PointedRule.of(field, shown, Vocabulary.DEFAULT))
              .as("%s of %s", shown, field.words())
              .hasSize(2);
        }
      }
    }
  }

  @Test
  void whatIsUnknownOrClearSuggestsNothing() {
    assertThat(sentences("float", "")).isEmpty();
    assertThat(sentences("overhead %", Unit.CLEAR)).isEmpty();
  }

  @Test
  void itTakesThePlaceOfTheSameRuleWithAnotherBoundButNotOfASchedule() {
    Rule gap = RuleSentence.parse("gap at least 4%", Vocabulary.DEFAULT);
    Rule volume = RuleSentence.parse("volume at least 50K early, 1M opening", Vocabulary.DEFAULT);
    Rule more = RuleSentence.parse("gap at least 9%", Vocabulary.DEFAULT);
    Rule floor = RuleSentence.parse("volume at least 70K", Vocabulary.DEFAULT);

    assertThat(PointedRule.into(List.of(gap, volume), more)).containsExactly(more, volume);
    assertThat(PointedRule.into(List.of(gap, volume), floor)).containsExactly(gap, volume, floor);
  }
}
