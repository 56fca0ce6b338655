package kelvo.tape;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Against the consolidated tape plans' published update table, from memory: does a sale condition
 * update the last price, the high and low, the volume?
 */
class TapeRulesTest {
  @ParameterizedTest(name = "code {0} updates last {1}, high and low {2}, volume {3}")
  @CsvSource({
    "@, yes, yes, yes",
    "K, yes, yes, yes",
    "E, yes, yes, yes",
    "D, yes, yes, yes",
    "1, yes, yes, yes",
    "Y, yes, yes, yes",
    "F, yes, yes, yes",
    "O, yes, yes, yes",
    "5, yes, yes, yes",
    "6, yes, yes, yes",
    "X, yes, yes, yes",
    "S, yes, yes, yes",
    "A, yes, yes, yes",
    "C, no, no, yes",
    "N, no, no, yes",
    "R, no, no, yes",
    "I, no, no, yes",
    "T, no, no, yes",
    "V, no, no, yes",
    "7, no, no, yes",
    "W, no, no, yes",
    "H, no, no, yes",
    "L, first, yes, yes",
    "Z, first, yes, yes",
    "P, first, yes, yes",
    "G, first, yes, yes",
    "2, first, yes, yes",
    "3, first, yes, yes",
    "9, yes, yes, no",
    "4, first, yes, yes",
    "Q, no, no, no",
    "M, no, no, no"
  })
  void followsThePublishedTableInRegularHours(
      String code, String last, String highLow, String volume) {
    int flags = TapeRules.flags(SaleCondition.of(code).orElseThrow().bit(), true);

    assertThat((flags & TapeRules.LAST) != 0).isEqualTo(last.equals("yes"));
    assertThat((flags & TapeRules.LAST_WHEN_FIRST) != 0).isEqualTo(last.equals("first"));
    assertThat((flags & TapeRules.HIGH_LOW) != 0).isEqualTo(highLow.equals("yes"));
    assertThat((flags & TapeRules.VOLUME) != 0).isEqualTo(volume.equals("yes"));
  }

  @ParameterizedTest
  @CsvSource({"T, true", "T I, false", "T W, false", "@, true"})
  void anExtendedPrintCountsOutsideRegularHoursUnlessItIsSpecialBesides(
      String codes, boolean counts) {
    int bits = 0;
    for (String code : codes.split(" ")) {
      bits |= SaleCondition.of(code).orElseThrow().bit();
    }

    assertThat((TapeRules.flags(bits, false) & TapeRules.LAST) != 0).isEqualTo(counts);
  }

  @ParameterizedTest
  @CsvSource({"average_price", "derivative", "contingent"})
  void pricesNotMadeByTheMarketStayOutOfVwap(String word) {
    int flags = TapeRules.flags(SaleCondition.of(word).orElseThrow().bit(), true);

    assertThat(flags & TapeRules.VWAP).isZero();
    assertThat(flags & TapeRules.VOLUME).isNotZero();
  }
}
