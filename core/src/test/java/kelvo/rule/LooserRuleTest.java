package kelvo.rule;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import kelvo.time.Phases;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

class LooserRuleTest {
  private static final Vocabulary WORDS = Vocabulary.DEFAULT;

  private static Optional<String> looser(String sentence, double value) {
    return LooserRule.passing(RuleSentence.parse(sentence, WORDS), 2, Phases.DEFAULT, value)
        .map(Rule::sentence);
  }

  @Example
  void aBoundIsMovedToTheFarSideOfTheValueAsOneWouldWriteIt() {
    assertThat(looser("volume at least 50K", 20_314)).contains("volume at least 20K");
    assertThat(looser("volume above 50K", 20_000)).contains("volume above 19K");
    assertThat(looser("price at most 10", 12.34)).contains("price at most 12.4");
    assertThat(looser("change % between 5% and 20%", 23.41))
        .contains("change % between 5% and 24%");
    assertThat(looser("volume at least 50K", Double.NaN))
        .contains("volume at least 50K or unknown");
  }

  @Example
  void whatHasNoBoundToMoveIsLeftOut() {
    assertThat(looser("halted is no", 1)).isEmpty();
    assertThat(looser("price above vwap", 9)).isEmpty();
  }

  @Property
  void theValuePassesAndTheBoundIsNotFarFromIt(
      @ForAll @DoubleRange(min = 0.02, max = 5_000_000) double value, @ForAll boolean atLeast) {
    String sentence = "volume " + (atLeast ? "at least 9M" : "at most 0.01");
    Rule rule =
        LooserRule.passing(RuleSentence.parse(sentence, WORDS), 0, Phases.DEFAULT, value)
            .orElseThrow();
    Rule.Interval passes = rule.intervalIn(0, Phases.DEFAULT).orElseThrow();

    assertThat(value).isBetween(passes.low(), passes.high());
    double bound = atLeast ? passes.low() : passes.high();
    assertThat(Math.abs(bound - value)).isLessThanOrEqualTo(0.1 * value + 1e-4);
    assertThat(RuleSentence.parse(rule.sentence(), WORDS).intervalIn(0, Phases.DEFAULT))
        .contains(passes);
  }
}
