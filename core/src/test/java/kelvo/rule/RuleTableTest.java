package kelvo.rule;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import kelvo.hit.RandomSessions;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import org.junit.jupiter.api.Test;

class RuleTableTest {
  private static final int FIELDS = 300;

  /** More fields than a byte can count; all but the last let everyone through. */
  @Test
  void aScanShutByAFieldFarDownTheTableStaysShut() {
    Session session = RandomSessions.of(3, 2, 200);
    SharedReadings shared = new SharedReadings(session);
    List<RuleTable.Entry> entries = new ArrayList<>();
    for (int n = 1; n <= FIELDS; n++) {
      String sentence =
          "opening range high " + n + "m " + (n == FIELDS ? "above 1" : "above 0") + " or unknown";
      entries.add(entry(shared, sentence));
    }
    entries.add(entry(shared, "trades at most -1"));
    RuleTable table = new RuleTable(entries, shared);
    table.layFor(0);

    for (int i = 0; i < 3; i++) {
      shared.ask();
      assertThat(table.passing(1, SymbolState.fresh(session, 0), 0)).isZero();
    }
  }

  private static RuleTable.Entry entry(SharedReadings shared, String sentence) {
    return new RuleTable.Entry(
        0, new RuleCheck(RuleSentence.parse(sentence, Vocabulary.DEFAULT), shared));
  }
}
