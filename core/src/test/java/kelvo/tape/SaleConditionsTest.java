package kelvo.tape;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sale conditions by tape, packed or apart. The plans' tables are from memory. */
class SaleConditionsTest {
  private final List<String> unknown = new ArrayList<>();

  private int bits(String text) {
    return SaleConditions.parse(text, unknown::add);
  }

  @ParameterizedTest
  @CsvSource({
    "XNAS, regular",
    "XNCM, regular",
    "XNYS, average_price",
    "ARCX, average_price",
    "'', average_price"
  })
  void theLetterBIsAnotherConditionOnEachPlan(String mic, String meant) {
    assertThat(SaleConditions.of(bits("B"), mic)).isEqualTo(bits(meant));
    assertThat(SaleConditions.of(bits("B I"), mic)).isEqualTo(bits(meant + " odd_lot"));
    assertThat(SaleConditions.of(bits("W"), mic)).isEqualTo(bits("average_price"));
  }

  @Test
  void packedCodesCountOneByOneAndTheStrictestWins() {
    assertThat(bits("@FTI")).isEqualTo(bits("@ F T I")).isEqualTo(bits("regular extended odd_lot"));
    assertThat(TapeRules.flags(bits("@FTI"), false) & TapeRules.LAST).isZero();
    assertThat(TapeRules.flags(bits("@F"), true) & TapeRules.LAST).isNotZero();
    assertThat(unknown).isEmpty();
  }

  @Test
  void lateExtendedIsOutOfSequenceBesides() {
    int late = bits("U");

    assertThat(late).isEqualTo(bits("extended out_of_sequence"));
    int outside = TapeRules.flags(late, false);
    assertThat(outside & TapeRules.LAST).isZero();
    assertThat(outside & TapeRules.VOLUME).isNotZero();
    assertThat(TapeRules.flags(bits("T"), false) & TapeRules.LAST).isNotZero();
  }

  @Test
  void anUnknownCodeKeepsItsVolumeAndIsTold() {
    int flags = TapeRules.flags(bits("@j?"), true);

    assertThat(unknown).containsExactly("j", "?");
    assertThat(bits("sometimes")).isEqualTo(SaleCondition.UNKNOWN.bit());
    assertThat(unknown).containsExactly("j", "?", "sometimes");
    assertThat(flags & TapeRules.VOLUME).isNotZero();
    assertThat(flags & (TapeRules.LAST | TapeRules.HIGH_LOW | TapeRules.VWAP)).isZero();
  }

  @Test
  void onlyThePrimaryListingsOpenAndCloseAreOfficial() {
    int open = bits("Q");

    assertThat(SaleConditions.at(open, "XNGS", "XNAS")).isEqualTo(open);
    assertThat(SaleConditions.at(open, "", "XNYS")).isEqualTo(open);
    int foreign = SaleConditions.at(open, "XNAS", "XNYS");
    assertThat(TapeRules.flags(foreign, true) & ~TapeRules.REGULAR).isZero();
    assertThat(SaleConditions.at(bits("@"), "XNAS", "XNYS")).isEqualTo(bits("@"));
  }

  @Test
  void anySetOfCodesAllowsNoMoreThanEachOfThem() {
    String codes = "@FSAXKED1YTIWLZPG234O6QM5V7CNRH9";
    SplittableRandom random = new SplittableRandom(5);
    int updates = TapeRules.LAST | TapeRules.HIGH_LOW | TapeRules.VOLUME;
    for (int i = 0; i < 2_000; i++) {
      StringBuilder set = new StringBuilder();
      for (int n = random.nextInt(1, 5); n > 0; n--) {
        set.append(codes.charAt(random.nextInt(codes.length())));
      }
      int allowed = updates;
      for (char code : set.toString().toCharArray()) {
        allowed &= TapeRules.flags(bits(String.valueOf(code)), true);
      }

      assertThat(TapeRules.flags(bits(set.toString()), true) & updates)
          .as(set.toString())
          .isEqualTo(allowed);
    }
  }
}
