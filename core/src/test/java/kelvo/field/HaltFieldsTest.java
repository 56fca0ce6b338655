package kelvo.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import kelvo.hit.TestSessions;
import kelvo.news.Catalyst;
import kelvo.session.Session;
import kelvo.state.TapedSymbol;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

/** What is known around a halt and around news: what came before, and what was traded since. */
class HaltFieldsTest {
  private static final int REGULAR = SaleCondition.REGULAR.bit();
  private static final long TEN = DayTime.of(10, 0);

  private final Session session = TestSessions.of(1, tape -> {});
  private final TapedSymbol taped = new TapedSymbol(session);

  private double value(String words, long now) {
    return FieldCatalogue.number(words).bind(session).at(taped.state(), now);
  }

  private String word(String words, long now) {
    return ((Field.Word) FieldCatalogue.find(words).orElseThrow()).of(taped.state(), now);
  }

  private void news(long at, long told) {
    Catalyst item = new Catalyst(at, "Harbour Wire", "A contract", "", List.of());
    taped.tape().news(told, 0, session.arrived(item));
    taped.state().apply(taped.tape().size() - 1);
  }

  @Test
  void aHaltHasADirectionAndAPriceToMoveFrom() {
    taped.trade(TEN - 6 * DayTime.MINUTE, 100_000, 100, REGULAR);
    taped.trade(TEN - 2 * DayTime.MINUTE, 112_000, 100, REGULAR);
    assertThat(value("change since halt", TEN)).isNaN();
    assertThat(word("halt direction", TEN)).isEmpty();

    taped.status(TEN, TradingState.HALTED, "LUDP");
    assertThat(word("halt direction", TEN)).isEqualTo("up");
    assertThat(value("change since halt", TEN)).isZero();
    taped.status(TEN + 5 * DayTime.MINUTE, TradingState.TRADING, "");
    taped.trade(TEN + 5 * DayTime.MINUTE, 100_800, 100, REGULAR);
    assertThat(value("change since halt", TEN + 6 * DayTime.MINUTE)).isCloseTo(-10, within(1e-9));

    long later = TEN + 8 * DayTime.MINUTE;
    taped.status(later, TradingState.HALTED, "LUDP");
    assertThat(word("halt direction", later)).isEqualTo("down");
  }

  @Test
  void volumeCountsFromTheMomentTradingBeganAgain() {
    taped.trade(TEN, 100_000, 700, REGULAR);
    taped.status(TEN + 1, TradingState.HALTED, "LUDP");
    assertThat(value("volume since resume", TEN + 2)).isNaN();
    taped.status(TEN + 300, TradingState.TRADING, "");
    taped.trade(TEN + 300, 100_000, 50, REGULAR);
    taped.trade(TEN + 200, 100_000, 1_000, SaleCondition.OUT_OF_SEQUENCE.bit());
    taped.trade(TEN + 400, 100_000, 25, REGULAR);

    assertThat(value("volume since resume", TEN + 400)).isEqualTo(75);
  }

  /** An item is told two minutes after it came out: what was traded meanwhile counts. */
  @Test
  void volumeSinceNewsCountsFromWhenItWasPublished() {
    taped.trade(TEN, 100_000, 700, REGULAR);
    taped.trade(TEN + DayTime.MINUTE, 100_000, 200, REGULAR, 7);
    assertThat(value("volume since news", TEN + DayTime.MINUTE)).isNaN();
    news(TEN + 30 * DayTime.SECOND, TEN + 2 * DayTime.MINUTE);
    taped.trade(TEN + 3 * DayTime.MINUTE, 100_000, 40, REGULAR);
    assertThat(value("volume since news", TEN + 3 * DayTime.MINUTE)).isEqualTo(240);

    taped.cancel(TEN + 4 * DayTime.MINUTE, 7);
    assertThat(value("volume since news", TEN + 4 * DayTime.MINUTE)).isEqualTo(40);
    news(-10 * DayTime.HOUR, TEN + 5 * DayTime.MINUTE);
    assertThat(value("volume since news", TEN + 5 * DayTime.MINUTE)).as("older").isEqualTo(40);
  }

  /** A $10 stock of the second tier: 10% around the mean of the prints so far. */
  @Test
  void bandsAreFieldsToo() {
    assertThat(value("upper band", TEN)).isNaN();
    taped.trade(TEN, 100_000, 100, REGULAR);

    assertThat(value("upper band", TEN)).isEqualTo(11);
    assertThat(value("lower band", TEN)).isEqualTo(9);
    assertThat(value("distance to band", TEN)).isCloseTo(10, within(1e-9));
    assertThat(value("upper band", DayTime.of(16, 0))).as("after the close").isNaN();
  }

  @Test
  void theDaysExtremesAgeFromTheirFirstPrint() {
    taped.trade(TEN, 100_000, 100, REGULAR);
    taped.trade(TEN + DayTime.MINUTE, 101_000, 100, REGULAR);
    taped.trade(TEN + 3 * DayTime.MINUTE, 101_000, 100, REGULAR);

    long now = TEN + 5 * DayTime.MINUTE;
    assertThat(value("minutes since day high", now)).isEqualTo(4);
    assertThat(value("minutes since day low", now)).isEqualTo(5);
  }
}
