package kelvo.rule;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.Function;
import java.util.regex.Pattern;
import kelvo.trigger.TriggerCompletion;
import kelvo.view.CatalystCompletion;
import org.junit.jupiter.api.Test;

class ListCompletionTest {
  private static final RuleCompletion RULES =
      new RuleCompletion(Vocabulary.DEFAULT, word -> List.of("common stock"));

  private static List<String> after(
      String typed, Pattern between, Function<String, List<RuleCompletion.Proposal>> ofPart) {
    return ListCompletion.after(typed, between, ofPart).stream()
        .map(RuleCompletion.Proposal::sentence)
        .toList();
  }

  @Test
  void onlyTheLastPartIsGoneOnWith() {
    assertThat(after("price, flo", ListCompletion.COMMA, RULES::fields))
        .startsWith("price, float ")
        .allMatch(text -> text.startsWith("price, "));
    assertThat(after("price, ", ListCompletion.COMMA, RULES::fields)).isEmpty();
  }

  @Test
  void rulesOfWhichOneMustHoldAreGoneOnWithBehindTheOr() {
    assertThat(after("gap at least 4% or gap at m", ListCompletion.OR, RULES::after))
        .containsExactly("gap at least 4% or gap at most ");
    assertThat(after("float at most 20M or un", ListCompletion.OR, RULES::after))
        .containsExactly("float at most 20M or unknown");
  }

  @Test
  void anOrderHasItsDirectionBehindItsField() {
    assertThat(after("price up, gap", ListCompletion.COMMA, RULES::orders))
        .startsWith("price up, gap down", "price up, gap up");
    assertThat(after("gap d", ListCompletion.COMMA, RULES::orders)).startsWith("gap down");
  }

  @Test
  void triggersAreFoundByAnyPartTheirBeginningFirst() {
    assertThat(after("enters scan, new hi", ListCompletion.COMMA, TriggerCompletion::after))
        .isNotEmpty()
        .allMatch(text -> text.startsWith("enters scan, new high"));
    assertThat(after("vwap", ListCompletion.COMMA, TriggerCompletion::after))
        .isNotEmpty()
        .allMatch(words -> words.contains("vwap"));
  }

  @Test
  void aFilterOfNewsKnowsItsOwnWordsAndTheRules() {
    CatalystCompletion news = new CatalystCompletion(RULES);

    assertThat(after("subject, ton", ListCompletion.COMMA, news::after))
        .startsWith("subject, tone above ", "subject, tone below ");
    assertThat(after("category off", ListCompletion.COMMA, news::after))
        .containsExactly("category offering");
    assertThat(after("subject, volume 5m", ListCompletion.COMMA, news::after))
        .contains("subject, volume 5m at least ");
  }
}
