package kelvo.field;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import kelvo.hit.RandomSessions;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import org.junit.jupiter.api.Test;

class KnownNumberTest {
  private final Session session = RandomSessions.of(1, 3, 100);
  private final List<String> askedFor = new ArrayList<>();

  @Test
  void isWorkedOutOnceAndForThatSecurity() {
    KnownNumber number = number("length of the symbol", 1);

    assertThat(number.of(SymbolState.fresh(session, 1))).isEqualTo(1);
    assertThat(number.of(SymbolState.fresh(session, 1))).isEqualTo(1);
    assertThat(askedFor).containsExactly(session.security(1).symbol());
  }

  @Test
  void whatIsUnknownIsNotAskedForAgain() {
    KnownNumber number = number("nobody knows", Double.NaN);

    assertThat(number.of(SymbolState.fresh(session, 2))).isNaN();
    assertThat(number.of(SymbolState.fresh(session, 2))).isNaN();
    assertThat(askedFor).hasSize(1);
  }

  @Test
  void allWhoAskByOneNameShareIt() {
    number("shared", 7).of(SymbolState.fresh(session, 0));

    assertThat(number("shared", 8).of(SymbolState.fresh(session, 0))).isEqualTo(7);
  }

  private KnownNumber number(String what, double value) {
    return KnownNumber.of(
        session,
        what,
        facts -> {
          askedFor.add(facts.symbol());
          return value;
        });
  }
}
