package kelvo.scan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.hit.TestSessions;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;

class ScanVersionTest {
  private static final Scan SCAN =
      TestSessions.scan("highs", List.of(Trigger.NEW_HIGH_OF_DAY), "price at least 2");

  @Test
  void staysTheSameWhileTheScanFindsTheSame() {
    assertThat(SCAN.named("another name").meant("for somebody else").version())
        .isEqualTo(SCAN.version());
    assertThat(SCAN.version()).matches("[0-9a-f]{12}");
  }

  @Test
  void isAnotherOnceTheScanAsksForSomethingElse() {
    List<Scan> others =
        List.of(
            SCAN.withRules(List.of(RuleSentence.parse("price at least 3", Vocabulary.DEFAULT))),
            SCAN.withRules(List.of()).withAnyOf(List.of(SCAN.rules())),
            SCAN.withTriggers(List.of(Trigger.NEW_LOW_OF_DAY)),
            SCAN.looking(Side.DOWN));

    assertThat(others)
        .extracting(Scan::version)
        .doesNotHaveDuplicates()
        .doesNotContain(SCAN.version());
  }
}
