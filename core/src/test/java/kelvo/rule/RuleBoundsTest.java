package kelvo.rule;

import static org.assertj.core.api.Assertions.assertThat;

import kelvo.time.Phases;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RuleBoundsTest {
  private static final int EARLY = 0;
  private static final int OPENING = 2;
  private static final int MIDDAY = 4;
  private static final int AFTER_HOURS = 7;

  /**
   * Both ends of "at least", "at most" and "between" belong; those of "above" and "below" do not.
   */
  @ParameterizedTest
  @CsvSource({
    "change % at least 5%, 5, true",
    "change % at least 5%, 4.999999, false",
    "change % above 5%, 5, false",
    "change % above 5%, 5.000001, true",
    "change % at most 5%, 5, true",
    "change % below 5%, 5, false",
    "change % between 2 and 3%, 2, true",
    "change % between 2 and 3%, 3, true",
    "change % between 2 and 3%, 3.000001, false",
    "change % at least 5%, NaN, false",
    "change % at least 5% or unknown, NaN, true",
    "change % is 5%, 5, true",
    "change % is not 5%, 5, false",
    "change % is not 5%, NaN, false",
    "change % is not 5% or unknown, NaN, true",
  })
  void holds(String sentence, double value, boolean holds) {
    assertThat(bounds(sentence).holds(value, EARLY)).isEqualTo(holds);
  }

  /** A bound stays until the next phase that names one. */
  @Test
  void aScheduleAsksFromItsFirstPhaseOn() {
    RuleBounds bounds = bounds("volume at least 400K opening, 1M midday");

    assertThat(bounds.asksIn(EARLY)).isFalse();
    assertThat(bounds.holds(400_000, OPENING)).isTrue();
    assertThat(bounds.holds(400_000, OPENING + 1)).isTrue();
    assertThat(bounds.holds(400_000, MIDDAY)).isFalse();
    assertThat(bounds.holds(1_000_000, AFTER_HOURS)).isTrue();
  }

  @Test
  void anotherFieldIsTheBoundSoManyTimes() {
    RuleBounds bounds = bounds("price above 1.5x vwap");

    Bound.OtherField vwap = bounds.otherIn(EARLY);

    assertThat(bounds.holds(15.01, vwap, 10)).isTrue();
    assertThat(bounds.holds(15, vwap, 10)).isFalse();
    assertThat(bounds.holds(15.01, vwap, Double.NaN)).as("unknown").isFalse();
  }

  @Test
  void pointsAreTheDifferenceOfTwoPerCents() {
    RuleBounds above = bounds("change % at least 3 points above change of QRTIDX");
    Bound.OtherField index = above.otherIn(EARLY);

    assertThat(above.holds(-1, index, -4)).isTrue();
    assertThat(above.holds(-1.01, index, -4)).isFalse();
    assertThat(above.holds(7, index, Double.NaN)).as("unknown").isFalse();
    RuleBounds below = bounds("change % at most 2 points below change of QRTIDX");
    assertThat(below.holds(-1, below.otherIn(EARLY), 1)).isTrue();
    assertThat(below.holds(-0.99, below.otherIn(EARLY), 1)).isFalse();
  }

  @Test
  void wordsCountWhateverTheirCase() {
    RuleBounds bounds = bounds("news category is offering");

    assertThat(bounds.numberOf("Offering")).isEqualTo(1);
    assertThat(bounds.numberOf("contract")).isZero();
    assertThat(bounds.numberOf("")).isNaN();
  }

  private static RuleBounds bounds(String sentence) {
    return new RuleBounds(RuleSentence.parse(sentence, Vocabulary.DEFAULT), Phases.DEFAULT);
  }
}
