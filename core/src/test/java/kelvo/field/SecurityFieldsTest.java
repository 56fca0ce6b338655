package kelvo.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import kelvo.hit.TestSessions;
import kelvo.session.Session;
import kelvo.state.TapedSymbol;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * What is known of a security whatever it trades, and where its price stands. It closed at $10 on
 * each of twenty days, between $9.80 and $10.20, has 20 million shares, and a float of forty days
 * ago.
 */
class SecurityFieldsTest {
  private static final long NOW = DayTime.of(10, 0);
  private static final int REGULAR = SaleCondition.REGULAR.bit();

  private TapedSymbol taped;

  @BeforeEach
  void begin() {
    Session session = TestSessions.of(1, tape -> {});
    taped = new TapedSymbol(session);
  }

  private double number(String words) {
    return FieldCatalogue.number(words)
        .bind(taped.state().market().session())
        .at(taped.state(), NOW);
  }

  private String word(String words) {
    return ((Field.Word) FieldCatalogue.find(words).orElseThrow()).of(taped.state(), NOW);
  }

  @Test
  void theSecuritiesFileSaysWhatItIs() {
    assertThat(List.of(word("venue"), word("sector"), word("industry"), word("country")))
        .containsExactly("XNAS", "night rail", "", "US");
    assertThat(number("float age")).isEqualTo(40);
    assertThat(number("shares outstanding")).isEqualTo(20e6);
    assertThat(number("split flag")).isZero();
  }

  @Test
  void theWholeCompanyIsWorthItsSharesAtThePrice() {
    assertThat(number("market cap")).isCloseTo(200e6, within(1.0));
    taped.trade(NOW, Price.of(11), 100, REGULAR);
    assertThat(number("market cap")).isCloseTo(220e6, within(1.0));
  }

  @Test
  void wherePriceStands() {
    taped.trade(NOW - 3, Price.of(10), 300, REGULAR);
    taped.trade(NOW - 2, Price.of(12), 100, REGULAR);
    taped.trade(NOW - 1, Price.of(9), 100, REGULAR);
    taped.trade(NOW, Price.of(11), 100, REGULAR);

    assertThat(number("range position")).isCloseTo(2 / 3.0, within(1e-9));
    double vwap = (10 * 300 + 12 * 100 + 9 * 100 + 11 * 100) / 600.0;
    assertThat(number("distance from vwap")).isCloseTo(100 * (11 - vwap) / vwap, within(1e-9));
    assertThat(number("distance to 52w low")).isCloseTo(100 * (11 - 9.8) / 9.8, within(1e-9));
    assertThat(number("distance to 20d low")).isCloseTo(100 * (11 - 9.8) / 9.8, within(1e-9));
    assertThat(number("distance from sma 20d"))
        .as("nineteen closes of ten and the price")
        .isCloseTo(100 * (11 - (19 * 10 + 11) / 20.0) / ((19 * 10 + 11) / 20.0), within(1e-9));
  }

  /** Each of the twenty days has a true range of 0.40. */
  @Test
  void theAverageTrueRangeOfDaysThatAreAllAlike() {
    assertThat(number("atr 14d")).isCloseTo(0.40, within(1e-9));
    taped.trade(NOW - 1, Price.of(10), 100, REGULAR);
    taped.trade(NOW, Price.of(10.8), 100, REGULAR);
    assertThat(number("range in atrs")).isCloseTo(2, within(1e-9));
    assertThat(number("extension from vwap")).isCloseTo(1, within(1e-9));
  }

  @Test
  void whyItIsHalted() {
    assertThat(word("halt reason")).isEmpty();
    taped.status(NOW, TradingState.HALTED, "T1");
    assertThat(word("halt reason")).isEqualTo("T1");
  }
}
