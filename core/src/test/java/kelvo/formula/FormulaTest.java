package kelvo.formula;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.Unit;
import kelvo.hit.TestSessions;
import kelvo.session.Session;
import kelvo.state.TapedSymbol;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A stock that closed at $10 and traded 300 shares at $12, then 100 at $14: its VWAP is $12.50. */
class FormulaTest {
  private static final long NOW = DayTime.of(10, 0);

  private static OwnField own(String formula) {
    return OwnField.of("mine", formula, FieldCatalogue::find);
  }

  private static double value(String formula) {
    Session session = TestSessions.of(1, tape -> {});
    TapedSymbol taped = new TapedSymbol(session);
    taped.trade(NOW, 120_000, 300, SaleCondition.REGULAR.bit());
    taped.trade(NOW + 1, 140_000, 100, SaleCondition.REGULAR.bit());
    return own(formula).field().bind(session).at(taped.state(), NOW + 1);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "price - previous close | 4",
        "price - vwap | 1.5",
        "2 x price - 3 | 25",
        "2 * (price - 3) | 22",
        "-price + 20 | 6",
        "price / 2 / 7 | 1",
        "price - 2 - 1 | 11",
        "abs(previous close - price) | 4",
        "min(price, vwap, previous close) | 10",
        "max(price - $15, 0) | 0",
        "after-hours volume + volume | 400",
        "dollar volume / volume | 12.5",
        "change % - 10% | 30",
        "1.5k / volume | 3.75",
        "distance from vwap | 12",
        "price / (volume - 400) | NaN",
        "ema 200d + price | NaN",
      })
  void arithmeticIsWhatOneExpects(String formula, double expected) {
    double value = value(formula);

    if (Double.isNaN(expected)) {
      assertThat(value).isNaN();
    } else {
      assertThat(value).isCloseTo(expected, within(1e-9));
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "price - vwap | PRICE",
        "(price - vwap) / atr 14d | TIMES",
        "price x volume | MONEY",
        "dollar volume / volume | PRICE",
        "dollar volume / price | SHARES",
        "2 x volume | SHARES",
        "change % - gap | PERCENT",
        "relative volume x trades | COUNT",
        "5 | NUMBER",
      })
  void unitsFollow(String formula, Unit unit) {
    assertThat(own(formula).field().unit()).isEqualTo(unit);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "price + | 8 | expected a field",
        "price + volume | 7 | expected two of one kind, found price and shares",
        "prce - vwap | 1 | found \"prce - vwap\"",
        "(price - vwap | 14 | expected )",
        "price vwap | 7 | expected + - x / or the end",
        "min(price) | 10 | expected ,",
        "kind + 1 | 1 | kind is a word",
      })
  void aMistakeIsToldAtItsCharacter(String formula, int character, String expected) {
    assertThatThrownBy(() -> own(formula))
        .isInstanceOf(FormulaSyntaxException.class)
        .hasMessageContaining("character " + character + ":")
        .hasMessageContaining(expected);
  }

  @Test
  void aNameMustNotConfuseRules() {
    for (String name : new String[] {"", "gap", "at least", "2 much", "a, b", "max"}) {
      assertThatThrownBy(() -> OwnField.of(name, "price", FieldCatalogue::find))
          .as(name)
          .isInstanceOf(IllegalArgumentException.class);
    }
    assertThat(OwnField.of(" Push 2 ", "price", FieldCatalogue::find).name()).isEqualTo("push 2");
  }

  @Test
  void itChangesWithWhateverItIsMadeOf() {
    assertThat(own("float / shares outstanding").field().pace()).isEqualTo(Field.Pace.FIXED);
    assertThat(own("price / float").field().pace()).isEqualTo(Field.Pace.EVENTS);
    assertThat(own("spread / price").field().pace()).isEqualTo(Field.Pace.QUOTES);
    assertThat(own("volume 5m / volume").field().pace()).isEqualTo(Field.Pace.CLOCK);
  }
}
