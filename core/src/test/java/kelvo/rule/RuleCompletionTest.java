package kelvo.rule;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class RuleCompletionTest {
  private static List<String> after(String typed) {
    return new RuleCompletion(Vocabulary.DEFAULT, word -> List.of("common stock", "warrant"))
        .after(typed).stream().map(RuleCompletion.Proposal::sentence).toList();
  }

  @Test
  void fieldsThatBeginWithTheTextComeBeforeThoseThatHoldIt() {
    assertThat(after("flo")).startsWith("float ").allMatch(s -> s.contains("flo"));
    assertThat(after("turnover")).containsExactly("float turnover ");
  }

  @Test
  void afterAFieldComeTheRelationsThatSuitIt() {
    assertThat(after("float ")).startsWith("float at least ", "float at most ");
    assertThat(after("float at m")).containsExactly("float at most ");
    assertThat(after("kind ")).startsWith("kind is ", "kind is one of ", "kind is not ");
    assertThat(after("shortable ")).containsExactly("shortable is ");
  }

  @Test
  void afterARelationComeTheWordsAFieldTakes() {
    assertThat(after("kind is ")).containsExactly("kind is common stock", "kind is warrant");
    assertThat(after("kind is one of warrant, c"))
        .containsExactly("kind is one of warrant, common stock");
    assertThat(after("shortable is ")).containsExactly("shortable is yes", "shortable is no");
  }

  @Test
  void afterABoundComePhasesAndOrUnknown() {
    assertThat(after("volume at least 50K p")).containsExactly("volume at least 50K premarket");
    assertThat(after("float at most 20M or")).containsExactly("float at most 20M or unknown");
    assertThat(after("volume at least 1.5x avg vol"))
        .contains("volume at least 1.5x avg volume 20d ");
  }

  @Test
  void aPerCentMayStandSoManyPointsFromAnother() {
    assertThat(after("change % at least 3 po"))
        .contains("change % at least 3 points above ", "change % at least 3 points below ");
    assertThat(after("change % at least 3 points above change fr"))
        .containsExactly("change % at least 3 points above change from open % ");
    assertThat(after("volume at least 3 po")).isEmpty();
  }

  @Test
  void everyProposalOfAFieldLeadsOnToARelation() {
    for (String field : after("vo")) {
      assertThat(after(field)).as(field).isNotEmpty();
    }
  }

  @Test
  void aFieldWhoseOwnWordsHoldARelationIsCompletedToo() {
    assertThat(after("room below % at l")).containsExactly("room below % at least ");
    assertThat(after("room below % at least 5% or"))
        .contains("room below % at least 5% or unknown");
  }
}
