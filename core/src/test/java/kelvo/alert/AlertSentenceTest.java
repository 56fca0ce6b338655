package kelvo.alert;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Set;
import kelvo.delivery.Channel;
import kelvo.rule.Vocabulary;
import kelvo.time.DayTime;
import kelvo.watchlist.TheTen;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class AlertSentenceTest {
  private static final LocalDate TODAY = LocalDate.of(2031, 3, 12);

  private static AlertSentence.Said said(String sentence) {
    return AlertSentence.parse(sentence, Vocabulary.DEFAULT, TODAY);
  }

  @Test
  void aSymbolATriggerRulesAndATimeOfDay() {
    AlertSentence.Said said =
        said(
            "kelpor rises through 8.20 with volume 5m at least 50K and float at most 20M after 9:45");

    assertThat(said.about()).isEqualTo(new About.Symbol("KELPOR"));
    assertThat(said.when().triggers()).extracting("words").containsExactly("rises through 8.20");
    assertThat(said.when().price()).isEqualTo(8.20);
    assertThat(said.when().rules())
        .extracting("sentence")
        .containsExactly("volume 5m at least 50K", "float at most 20M");
    assertThat(said.when().from()).isEqualTo(DayTime.of(9, 45));
    assertThat(said.repeat()).isEqualTo(Repeat.ONCE);
    assertThat(said.how()).isEqualTo(Channel.USUAL);
    assertThat(said.until()).isNull();
  }

  @Test
  void theExampleOfTwoPartsHoldsTogether() {
    AlertSentence.Said said = said("everything: new high of day after 10:00 while above vwap");

    assertThat(said.about()).isEqualTo(new About.Everyone());
    assertThat(said.when().triggers()).extracting("words").containsExactly("new high of day");
    assertThat(said.when().rules()).extracting("sentence").containsExactly("price above vwap");
    assertThat(said.when().from()).isEqualTo(DayTime.of(10, 0));
  }

  @Test
  void rulesAloneWaitForTheirBeginningToHold() {
    AlertSentence.Said said = said("KELPOR gap between 3% and 5% and volume at least 1M");

    assertThat(said.when().triggers()).isEmpty();
    assertThat(said.when().rules())
        .extracting("sentence")
        .containsExactly("gap between 3% and 5%", "volume at least 1M");
  }

  @Test
  void aTriggerMayHoldTheWordsThatSeparateTheParts() {
    AlertSentence.Said said = said("the ten: fade from 10% with high after 12:00 before 15:30");

    assertThat(said.about()).isEqualTo(new About.Members(TheTen.NAME));
    assertThat(said.when().triggers())
        .extracting("words")
        .containsExactly("fade from 10% with high after 12:00");
    assertThat(said.when().to()).isEqualTo(DayTime.of(15, 30));
  }

  @Test
  void aScansOwnHitsNeedNoCondition() {
    assertThat(said("scan Opening highs:, again after 90s").when().isEmpty()).isTrue();
    assertThat(said("scan Opening highs:, again after 90s").repeat().after())
        .isEqualTo(90 * DayTime.SECOND);
  }

  @Test
  void howOftenUntilWhenAndHow() {
    AlertSentence.Said said =
        said(
            "list Biotech: halt or resume, again after 5m, until today, by popup, spoken and webhook");

    assertThat(said.about()).isEqualTo(new About.Members("Biotech"));
    assertThat(said.when().triggers()).extracting("words").containsExactly("halt", "resume");
    assertThat(said.repeat().after()).isEqualTo(5 * DayTime.MINUTE);
    assertThat(said.until()).isEqualTo(TODAY);
    assertThat(said.how()).isEqualTo(Set.of(Channel.POPUP, Channel.SPOKEN, Channel.WEBHOOK));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "KELPOR rises through 8.20, once",
        "KELPOR falls through vwap while volume 5m at least 50K after 10:00 before 11:30, once",
        "the ten: new high of day or new low of day, again after 5m, until 2031-03-14",
        "list Biotech: halt, once, by spoken",
        "scan Opening highs: new high of 20d while float at most 20M, again after 1m, by nothing",
        "everything: spread % at least 2%, again after 45s, until 2031-03-12, by popup, tone and webhook"
      })
  void whatIsWrittenReadsBackAsTheSame(String sentence) {
    Alert alert = said(sentence).alert();

    assertThat(said(AlertSentence.of(alert)).alert()).isEqualTo(alert);
    assertThat(AlertSentence.of(alert)).isEqualTo(sentence);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "KELPOR | expected when it rings, such as: KELPOR rises through 8.20",
        "KELPOR jumps | \"jumps\" is neither a trigger nor a rule",
        "KELPOR new high of day while volume at most | expected a bound",
        "KELPOR rises through level | name the price",
        "KELPOR halt, by pigeon | expected popup, tone, spoken, notification, webhook or nothing",
        "KELPOR halt, again after lunch | again after a time such as 5m",
        "KELPOR halt, until 2031-99-99 | expected today or a date such as 2031-03-14",
        "KELPOR halt after 11:00 before 10:00 | leave no time between them",
        "list Biotech halt | is neither a trigger nor a rule",
      })
  void whatIsWrongIsToldWithWhatWasExpected(String sentence, String expected) {
    assertThatThrownBy(() -> said(sentence))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(expected);
  }
}
