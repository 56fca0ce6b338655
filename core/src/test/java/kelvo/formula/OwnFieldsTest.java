package kelvo.formula;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import kelvo.field.Unit;
import kelvo.hit.Hit;
import kelvo.hit.TestSessions;
import kelvo.rule.FormulaCompletion;
import kelvo.rule.RuleCompletion;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

/** Fields of the trader's own among the others. */
class OwnFieldsTest {
  private final Vocabulary vocabulary = Vocabulary.of(List.of());

  private Scan scan() {
    return TestSessions.scan("Pushes", List.of())
        .withRules(List.of(RuleSentence.parse("push at least $3", vocabulary)));
  }

  @Test
  void rulesAskForThemLikeForAnyOther() {
    vocabulary.putOwn("push", "price - vwap 04:00");
    Session session =
        TestSessions.of(
            1,
            tape -> {
              tape.trade(DayTime.of(9, 40), 0, 100_000, 900, SaleCondition.REGULAR.bit());
              tape.trade(DayTime.of(9, 41), 0, 130_000, 100, SaleCondition.REGULAR.bit());
              tape.trade(DayTime.of(9, 42), 0, 140_000, 100, SaleCondition.REGULAR.bit());
            });

    assertThat(TestSessions.hits(session, scan()))
        .extracting(Hit::at)
        .containsExactly(DayTime.of(9, 42));
  }

  @Test
  void anotherFormulaIsAnotherField() {
    vocabulary.putOwn("push", "price - vwap");
    Scan before = scan();
    vocabulary.putOwn("push", "price - previous close");

    assertThat(scan()).isNotEqualTo(before);
    assertThat(scan().version()).isNotEqualTo(before.version());
  }

  @Test
  void aFormulaMayUseThoseMadeBeforeItAndFollowsThem() {
    vocabulary.putOwn("push", "price - vwap");
    vocabulary.putOwn("pushes", "push / atr 14d");
    assertThat(vocabulary.find("pushes").orElseThrow().unit()).isEqualTo(Unit.TIMES);

    vocabulary.putOwn("push", "volume - premarket volume");
    assertThat(vocabulary.find("pushes").orElseThrow().unit()).isEqualTo(Unit.NUMBER);
    assertThatThrownBy(() -> vocabulary.putOwn("push", "push + 1")).hasMessageContaining("push");
    assertThatThrownBy(() -> vocabulary.removeOwn("push")).hasMessageContaining("push / atr 14d");
    assertThat(vocabulary.own().all()).extracting(OwnField::name).containsExactly("push", "pushes");
  }

  @Test
  void whatMayComeNextIsProposed() {
    vocabulary.putOwn("push", "price - vwap");
    FormulaCompletion completion = new FormulaCompletion(vocabulary);

    assertThat(completion.after("pu"))
        .extracting(RuleCompletion.Proposal::sentence)
        .containsExactly("push = price - vwap");
    assertThat(completion.after("mine = (price - vw"))
        .extracting(RuleCompletion.Proposal::sentence)
        .contains("mine = (price - vwap ", "mine = (price - vwap 09:30 ");
    assertThat(completion.after("mine = ma"))
        .extracting(RuleCompletion.Proposal::sentence)
        .contains("mine = max(", "mine = market cap ");
    assertThat(completion.after("mine = 2 x kin")).isEmpty();
  }
}
