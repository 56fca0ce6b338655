package kelvo.rule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import kelvo.field.Unit;
import kelvo.session.Security;
import kelvo.session.SecurityKind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RuleSentenceTest {
  private static Rule parse(String sentence) {
    return RuleSentence.parse(sentence, Vocabulary.DEFAULT);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "kind is common stock",
        "price between 1 and 20",
        "gap at least 4%",
        "float at most 20m or unknown",
        "premarket volume at least 50k early, 100k premarket",
        "volume at least 1.5x avg volume 20d",
        "distance from ema 200d at least 5%",
        "minutes since news at most 2h",
        "split flag is no",
        "stack is not 0",
        "sector is one of night rail, kelp foods",
        "price above vwap",
        "room below % at least 5%"
      })
  void aRuleReadsBackAsTheSameRule(String sentence) {
    Rule rule = parse(sentence);
    Rule again = parse(rule.sentence());

    assertThat(again.sentence()).isEqualTo(rule.sentence());
    assertThat(again.steps()).hasSameSizeAs(rule.steps());
    assertThat(again.orUnknown()).isEqualTo(sentence.endsWith("or unknown"));
  }

  @ParameterizedTest
  @CsvSource({"20M, 20000000", "50K, 50000", "1.5B, 1500000000", "100, 100"})
  void sharesAreReadAsTradersWriteThem(String written, double shares) {
    assertThat(parse("float at most " + written).steps().getFirst().bound())
        .isInstanceOfSatisfying(Bound.Amount.class, b -> assertThat(b.value()).isEqualTo(shares));
  }

  @ParameterizedTest
  @CsvSource({"10m, 10", "2h, 120", "1d, 1440", "600, 600"})
  void minutesTakeTimes(String written, double minutes) {
    assertThat(parse("minutes since news at most " + written).steps().getFirst().bound())
        .isInstanceOfSatisfying(Bound.Amount.class, b -> assertThat(b.value()).isEqualTo(minutes));
  }

  @Test
  void rulesOfWhichOneMustHoldReadBackAsThey() {
    String sentence = "float at most 20M or unknown or gap at most -4%";

    assertThat(RuleSentence.parseAny(sentence, Vocabulary.DEFAULT)).hasSize(2);
    assertThat(RuleSentence.ofAny(RuleSentence.parseAny(sentence, Vocabulary.DEFAULT)))
        .isEqualTo(sentence);
  }

  @Test
  void signsAreUnderstoodWhenTyped() {
    assertThat(parse("gap >= 4%").sentence()).isEqualTo("gap at least 4%");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "gap 4% | 5 | expected a relation",
        "gapp at least 4% | 1 | no field is called",
        "gap at least lots | 14 | expected a per cent such as 4%",
        "float at most 20% | 15 | expected shares such as 50K or 20M",
        "kind at least common stock | 14 | is a word",
        "gap at least | 13 | expected a bound",
        "volume at least 1M morning, 50K early | 38 | the day's order"
      })
  void aMistypedRuleSaysWhatItExpectedAtTheCharacter(
      String sentence, int character, String expected) {
    assertThatThrownBy(() -> parse(sentence))
        .isInstanceOf(RuleSyntaxException.class)
        .hasMessageContaining("character " + character)
        .hasMessageContaining(expected);
  }

  @Test
  void pointsStandBetweenTwoPerCents() {
    Rule rule = parse("change % at least 3 points above change of qrtidx premarket");

    assertThat(rule.sentence())
        .isEqualTo("change % at least 3 points above change of QRTIDX premarket");
    assertThat(parse(rule.sentence())).isEqualTo(rule);
    assertThat(rule.mirrored().sentence())
        .isEqualTo("change % at most 3 points below change of QRTIDX premarket");
    assertThatThrownBy(() -> parse("price at least 3 points above vwap"))
        .hasMessageContaining("character 16")
        .hasMessageContaining("two per cents");
  }

  @Test
  void aFlagAloneAsksThatItIsSo() {
    assertThat(parse("shortable").sentence()).isEqualTo("shortable is yes");
    assertThat(parse(parse("halted").sentence())).isEqualTo(parse("halted is yes"));
  }

  @Test
  void oneItemMayBeAskedForInBrackets() {
    Rule rule = parse("news within 1d (tone above 0.3, weight high, subject)");

    assertThat(rule.field().words())
        .isEqualTo("news within 1d (tone above 0.3, weight high, subject)");
    assertThat(parse("news within 4h (category is one of merger or earnings) is no").sentence())
        .isEqualTo("news within 4h (category is one of merger or earnings) is no");
  }

  @Test
  void aWrongPartInBracketsIsNamedAtItsBracket() {
    assertThatThrownBy(() -> parse("news within 1d (loud)"))
        .isInstanceOf(RuleSyntaxException.class)
        .hasMessageContaining("character 16")
        .hasMessageContaining("\"loud\"");
  }

  @Test
  void furtherColumnsOfTheSecuritiesFileAreFields() {
    Vocabulary vocabulary =
        Vocabulary.of(
            List.of(security("AAAAAA", "0.42", "north"), security("BBBBBB", "", "south")));

    assertThat(RuleSentence.parse("earnings per share above 0.3", vocabulary).field().unit())
        .isEqualTo(Unit.NUMBER);
    assertThat(RuleSentence.parse("region is one of north or east", vocabulary).field().unit())
        .isEqualTo(Unit.WORD);
    assertThatThrownBy(() -> parse("region is north")).hasMessageContaining("no field");
  }

  private static Security security(String symbol, String earnings, String region) {
    return new Security(
        symbol,
        symbol + " Works",
        "XNAS",
        SecurityKind.COMMON_STOCK,
        "",
        "",
        "",
        1e6,
        1e6,
        null,
        null,
        null,
        false,
        Map.of("earnings_per_share", earnings, "region", region));
  }

  @Test
  void aRuleOfTwentyThousandCharactersIsRefusedByItsLength() {
    String endless = "gap " + "at least 4% and ".repeat(1_250);

    assertThatThrownBy(() -> RuleSentence.parse(endless, Vocabulary.DEFAULT))
        .isInstanceOf(RuleSyntaxException.class)
        .hasMessageContaining("it has 20004 characters, and at most 1000 are read");
  }
}
