package kelvo.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.check.Check.Result;
import kelvo.history.CorporateAction;
import kelvo.hit.TestSessions;
import kelvo.session.SecurityFacts;
import kelvo.session.SecurityKind;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.state.TapedSymbol;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.time.SessionHours;
import org.junit.jupiter.api.Test;

class ChecksTest {
  private static final long NOW = DayTime.of(8, 30);

  private static Session session(SecurityFacts facts) {
    return new Session(
        SessionHours.full(TestSessions.DATE),
        Phases.DEFAULT,
        List.of(facts),
        List.of(),
        List.of(),
        new EventTape(1));
  }

  private static Result result(Session session, SymbolState state, String name) {
    return new Checks(session, CheckRule.DEFAULT)
        .of(state, NOW).stream()
            .filter(c -> c.name().equals(name))
            .findFirst()
            .orElseThrow()
            .result();
  }

  private static SymbolState state(Session session) {
    return SymbolState.fresh(session, 0);
  }

  @Test
  void aFundAmongTheGappersFails() {
    Session session = session(TestSessions.facts("GLASBX", SecurityKind.FUND, Double.NaN));

    assertThat(result(session, state(session), "kind")).isEqualTo(Result.FAIL);
  }

  @Test
  void aReverseSplitFailsAndSaysItsRatio() {
    SecurityFacts plain = TestSessions.facts("SONWEL", SecurityKind.COMMON_STOCK, 4e6);
    Session session =
        session(
            new SecurityFacts(
                plain.security(),
                plain.history(),
                new CorporateAction("SONWEL", TestSessions.DATE, 0.1),
                4e6,
                5e6));
    Check split = new Checks(session, CheckRule.DEFAULT).of(state(session), NOW).get(1);

    assertThat(split.result()).isEqualTo(Result.FAIL);
    assertThat(split.detail()).isEqualTo("1-for-10 reverse split on 2031-03-12");
  }

  @Test
  void aWideSpreadWarnsThenFails() {
    Session session = session(TestSessions.facts("TIDARC", SecurityKind.COMMON_STOCK, 4e6));
    TapedSymbol taped = new TapedSymbol(session);

    assertThat(result(session, taped.state(), "spread")).isEqualTo(Result.UNKNOWN);
    taped.quote(NOW, 99_900, 100, 100_100, 100);
    assertThat(result(session, taped.state(), "spread")).isEqualTo(Result.PASS);
    taped.quote(NOW, 99_000, 100, 101_000, 100);
    assertThat(result(session, taped.state(), "spread")).isEqualTo(Result.WARN);
    taped.quote(NOW, 97_000, 100, 103_000, 100);
    assertThat(result(session, taped.state(), "spread")).isEqualTo(Result.FAIL);
  }

  @Test
  void onePrintIsNoMove() {
    Session session = session(TestSessions.facts("NITRAL", SecurityKind.COMMON_STOCK, 4e6));
    TapedSymbol taped = new TapedSymbol(session);
    taped.trade(NOW, 131_000, 100, SaleCondition.EXTENDED.bit());

    assertThat(result(session, taped.state(), "prints")).isEqualTo(Result.FAIL);
    assertThat(result(session, taped.state(), "catalyst")).isEqualTo(Result.WARN);
    assertThat(result(session, taped.state(), "stack")).isEqualTo(Result.UNKNOWN);
  }

  @Test
  void aTradersOwnBoundsDecide() {
    Session session = session(TestSessions.facts("TIDARC", SecurityKind.COMMON_STOCK, 4e6));
    CheckRule own =
        CheckRule.of(
            "small float",
            "float at most 2M or float above 100M",
            "float at most 5M",
            kelvo.rule.Vocabulary.DEFAULT);

    Check check = new Checks(session, List.of(own)).of(state(session), NOW).getFirst();

    assertThat(check.result()).isEqualTo(Result.FAIL);
    assertThat(check.detail()).isEqualTo("4.0M");
    assertThat(own.passSentence()).isEqualTo("float at most 2M or float above 100M");
  }

  @Test
  void everyUsualCheckReadsBackFromItsSentences() {
    for (CheckRule rule : CheckRule.DEFAULT) {
      assertThat(
              CheckRule.of(
                  rule.name(),
                  rule.passSentence(),
                  rule.failSentence(),
                  kelvo.rule.Vocabulary.DEFAULT))
          .isEqualTo(rule);
    }
  }
}
