package kelvo.universe;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import kelvo.hit.RandomSessions;
import kelvo.hit.TestSessions;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.session.Session;
import org.junit.jupiter.api.Test;

class MembershipTest {
  private final Session session = RandomSessions.of(7, 30, 3_000);

  private static Universe universe(Set<String> added, Set<String> excluded, String... rules) {
    List<Rule> parsed =
        Arrays.stream(rules).map(r -> RuleSentence.parse(r, Vocabulary.DEFAULT)).toList();
    return new Universe("test", parsed, added, excluded, null);
  }

  private String symbol(int security) {
    return session.security(security).symbol();
  }

  @Test
  void everyRuleSaysHowManyPassItAloneAndHowManyAreLeft() {
    Membership members =
        Membership.of(
            universe(Set.of(), Set.of(), "kind is common stock", "float above 1000000B"), session);

    assertThat(members.cuts()).hasSize(2);
    assertThat(members.cuts().getFirst().alone()).isEqualTo(members.cuts().getFirst().left());
    assertThat(members.cuts().getLast().left()).isZero();
    assertThat(members.count()).isZero();
    assertThat(members.whyOut(0)).startsWith("float ").doesNotContain("above");
  }

  @Test
  void theHandBeatsTheRules() {
    Membership members =
        Membership.of(
            universe(Set.of(symbol(3)), Set.of(symbol(4)), "float above 1000000B"), session);

    assertThat(members.contains(3)).isTrue();
    assertThat(members.count()).isEqualTo(1);
    assertThat(members.whyOut(4)).isEqualTo("excluded by hand");
  }

  @Test
  void aScanFindsNobodyOutsideItsUniverse() {
    Scan all = TestSessions.scan("all", List.of(), "trades at least 1");
    Scan few = all.within(universe(Set.of(symbol(3)), Set.of(), "float above 1000000B"));

    assertThat(TestSessions.hits(session, all)).extracting(hit -> hit.symbol()).contains(symbol(5));
    assertThat(TestSessions.hits(session, few))
        .isNotEmpty()
        .allMatch(hit -> hit.symbol().equals(symbol(3)));
  }

  @Test
  void addingTakesAnExclusionBackAndForgettingBoth() {
    Universe universe = universe(Set.of(), Set.of("KELPOR")).adding(Set.of("KELPOR"));

    assertThat(universe.excluded()).isEmpty();
    assertThat(universe.added()).containsExactly("KELPOR");
    assertThat(universe.forgetting(Set.of("KELPOR")).added()).isEmpty();
  }

  @Test
  void aUniverseIsStaleAQuarterAfterTheLastLook() {
    java.time.LocalDate looked = java.time.LocalDate.of(2031, 1, 15);
    Universe universe = universe(Set.of(), Set.of()).reviewedOn(looked);

    assertThat(universe.isStaleOn(looked.plusMonths(3))).isFalse();
    assertThat(universe.isStaleOn(looked.plusMonths(3).plusDays(1))).isTrue();
    assertThat(universe(Set.of(), Set.of()).isStaleOn(looked)).isTrue();
  }
}
