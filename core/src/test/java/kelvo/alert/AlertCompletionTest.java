package kelvo.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.rule.RuleCompletion;
import kelvo.rule.Vocabulary;
import org.junit.jupiter.api.Test;

class AlertCompletionTest {
  private final AlertCompletion completion =
      new AlertCompletion(
          new RuleCompletion(Vocabulary.DEFAULT, field -> List.of()),
          List.of("Biotech"),
          List.of("Opening highs"),
          List.of("KELPOR", "KRINAT", "TIDARC"));

  private List<String> after(String typed) {
    return completion.after(typed).stream().map(RuleCompletion.Proposal::sentence).toList();
  }

  @Test
  void whomFirst() {
    assertThat(after("")).contains("the ten: ", "everything: ", "list Biotech: ");
    assertThat(after("k")).containsExactly("KELPOR ", "KRINAT ");
    assertThat(after("scan op")).containsExactly("scan Opening highs: ");
  }

  @Test
  void thenTriggersAndFields() {
    assertThat(after("KELPOR new high of d")).contains("KELPOR new high of day");
    assertThat(after("scan Opening highs: rises"))
        .contains("scan Opening highs: rises through vwap");
    assertThat(after("KELPOR sprea")).contains("KELPOR spread % ");
  }

  @Test
  void thenRulesAndHowOften() {
    assertThat(after("KELPOR new high of day while spread %"))
        .contains("KELPOR new high of day while spread % at most ");
    assertThat(after("KELPOR new high of day, ag"))
        .containsExactly("KELPOR new high of day, again after 5m");
    assertThat(after("KELPOR halt, once, by")).contains("KELPOR halt, once, by popup and tone");
  }
}
