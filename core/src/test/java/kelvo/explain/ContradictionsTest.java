package kelvo.explain;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.hit.TestSessions;
import kelvo.rule.Rule;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.time.Phases;
import org.junit.jupiter.api.Test;

class ContradictionsTest {
  private static List<String> of(String... rules) {
    return Contradictions.of(TestSessions.scan("s", List.of(), rules), Phases.DEFAULT);
  }

  @Test
  void boundsWithNothingBetweenThemAreNamed() {
    assertThat(of("gap at least 4%", "gap at most -4%"))
        .containsExactly("\"gap at least 4%\" and \"gap at most -4%\" never hold together.");
    assertThat(of("price above 5", "price below 5")).hasSize(1);
    assertThat(of("kind is common stock", "kind is warrant")).hasSize(1);
  }

  @Test
  void boundsThatMeetAreNot() {
    assertThat(of("price at least 5", "price at most 5")).isEmpty();
    assertThat(of("gap at least 4%", "change % at most -4%")).isEmpty();
    assertThat(of("kind is one of common stock, warrant", "kind is warrant")).isEmpty();
  }

  @Test
  void schedulesAreHeldAgainstEachOtherPhaseByPhase() {
    assertThat(of("volume at least 1K early, 1M opening", "volume at most 50K")).hasSize(1);
    assertThat(of("volume at least 1K early", "volume at most 50K")).isEmpty();
  }

  @Test
  void aScanForFallersWithARuleForRisersIsNamed() {
    Scan fallers = TestSessions.scan("s", List.of(), "gap at least 4%").looking(Side.DOWN);

    assertThat(Contradictions.of(fallers, Phases.DEFAULT))
        .containsExactly("The scan looks down, but \"gap at least 4%\" keeps only the others.");
  }

  @Test
  void theOtherHalfOfAPairLooksTheOtherWay() {
    Scan risers =
        TestSessions.scan("Risers", List.of(), "gap at least 4%", "volume at least 50K")
            .looking(Side.UP);

    Scan fallers = ScanPairs.byWay(risers).getFirst();

    assertThat(fallers.side()).isEqualTo(Side.DOWN);
    assertThat(fallers.rules())
        .extracting(Rule::sentence)
        .containsExactly("gap at most -4%", "volume at least 50K");
    assertThat(Contradictions.of(fallers, Phases.DEFAULT)).isEmpty();
  }

  @Test
  void halvesByPriceShareNothing() {
    List<Scan> halves = ScanPairs.byPrice(TestSessions.scan("All", List.of()), 10);

    assertThat(halves)
        .extracting(Scan::name)
        .containsExactly("All, under $10", "All, $10 and over");
    Scan both =
        halves
            .get(0)
            .withRules(List.of(halves.get(0).rules().getLast(), halves.get(1).rules().getLast()));
    assertThat(Contradictions.of(both, Phases.DEFAULT)).hasSize(1);
  }
}
