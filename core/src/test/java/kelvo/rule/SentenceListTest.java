package kelvo.rule;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;

class SentenceListTest {
  private static final String NEWS = "news (tone above 0.3, weight high, subject)";
  private static final String NEWS_RULE = "news within 1d (category contract or offering, subject)";

  @Test
  void whatStandsInBracketsStaysTogether() {
    assertThat(SentenceList.split("new high of day, " + NEWS + " , halt,", ','))
        .containsExactly("new high of day", NEWS, "halt");
    assertThat(SentenceList.splitAtOr(NEWS_RULE + " or gap at least 4% or unknown or shortable"))
        .containsExactly(NEWS_RULE, "gap at least 4% or unknown", "shortable");
  }

  @Test
  void aBracketThatIsNeverClosedOrOpenedHidesNothingBeforeIt() {
    assertThat(SentenceList.split("a, b (c, d", ',')).containsExactly("a", "b (c, d");
    assertThat(SentenceList.split("a), b, c", ',')).containsExactly("a)", "b", "c");
  }

  @Test
  void newsWithPartsStandsAmongTriggersAndAmongRulesOfWhichOneMustHold() {
    List<Trigger> triggers =
        SentenceList.split("halt, " + NEWS, ',').stream()
            .flatMap(one -> Trigger.parse(one).stream())
            .toList();
    List<Rule> group = RuleSentence.parseAny("gap at least 4% or " + NEWS_RULE, Vocabulary.DEFAULT);

    assertThat(triggers).extracting(Trigger::words).containsExactly("halt", NEWS);
    assertThat(group).hasSize(2);
    assertThat(RuleSentence.parseAny(RuleSentence.ofAny(group), Vocabulary.DEFAULT))
        .as("reads back as the same rules")
        .isEqualTo(group);
  }
}
