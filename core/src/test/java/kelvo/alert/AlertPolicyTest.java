package kelvo.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import kelvo.alert.AlertEvent.Kind;
import kelvo.alert.Ring.Outcome;
import kelvo.alert.Ring.Rank;
import kelvo.delivery.Channel;
import kelvo.rule.Vocabulary;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import org.junit.jupiter.api.Test;

class AlertPolicyTest {
  private static final long START = DayTime.of(9, 41);
  private static final long QUIET = DayTime.of(12, 0);
  private static final long SNOOZED = DayTime.of(13, 0);
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);
  private static final Attention ATTENTION =
      new Attention(
          Set.of("HELDXX"),
          Set.of("KELPOR", "TIDARC"),
          Map.of("BRIGAL", Set.of(Channel.SPOKEN)),
          Map.of("Opening highs", Set.of(Channel.NOTIFICATION)),
          Set.of(),
          Map.of(),
          DATE);

  private final AlertPolicy policy =
      new AlertPolicy(
          Phases.DEFAULT,
          AlertLimits.DEFAULT,
          List.of(
              Silence.ofAll(QUIET, QUIET + DayTime.MINUTE),
              new Silence(SNOOZED, SNOOZED + 10 * DayTime.MINUTE, "KELPOR")));

  private static AlertEvent event(
      long at, String symbol, Kind kind, String source, double dollars) {
    return new AlertEvent(
        at,
        symbol.hashCode(),
        symbol,
        kind,
        source,
        "new high of day",
        Side.UP,
        82_000,
        Double.NaN,
        Double.NaN,
        dollars,
        "");
  }

  private Ring ring(long at, String symbol, String scan) {
    return policy.take(event(at, symbol, Kind.SCAN, scan, 1e6), ATTENTION).orElseThrow();
  }

  @Test
  void whatConcernsNobodyIsNoRing() {
    assertThat(policy.take(event(START, "DESALQ", Kind.SCAN, "Fresh news", 1e6), ATTENTION))
        .isEmpty();
    assertThat(ring(START, "KELPOR", "Fresh news").rank()).isEqualTo(Rank.WATCHED);
    assertThat(ring(START, "HELDXX", "Fresh news").rank()).isEqualTo(Rank.HELD);
    assertThat(ring(START, "DESALQ", "Opening highs").rank()).isEqualTo(Rank.SCAN);
  }

  @Test
  void aLevelRingsOnWhomeverItStands() {
    assertThat(
            policy
                .take(event(START, "DESALQ", Kind.LEVEL, "levels", 1), ATTENTION)
                .orElseThrow()
                .rank())
        .isEqualTo(Rank.WATCHED);
  }

  @Test
  void aSilencedScanRingsOnNobodyButAHaltAlwaysDoes() {
    Attention silent =
        new Attention(
            Set.of(), Set.of("KELPOR"), Map.of(), Map.of(), Set.of("Fresh news"), Map.of(), DATE);
    assertThat(policy.take(event(START, "KELPOR", Kind.SCAN, "Fresh news", 1), silent)).isEmpty();

    assertThat(policy.take(event(START, "KELPOR", Kind.HALT, "", 1), silent).orElseThrow().rank())
        .isEqualTo(Rank.HALT_OF_MINE);
    assertThat(policy.take(event(START, "DESALQ", Kind.HALT, "", 1), silent).orElseThrow().rank())
        .isEqualTo(Rank.HALT_ELSEWHERE);
  }

  @Test
  void theSilenceDoublesAtEachRepeatAndIsShortAgainAfterTwiceAsLongWithoutOne() {
    assertThat(ring(START, "KELPOR", "a").outcome()).isEqualTo(Outcome.RINGS);
    assertThat(ring(START + 59 * DayTime.SECOND, "KELPOR", "a").outcome())
        .isEqualTo(Outcome.COOLING);
    assertThat(ring(START + 60 * DayTime.SECOND, "KELPOR", "a").outcome()).isEqualTo(Outcome.RINGS);
    assertThat(ring(START + 150 * DayTime.SECOND, "KELPOR", "a").outcome())
        .as("two minutes now")
        .isEqualTo(Outcome.COOLING);
    assertThat(ring(START + 180 * DayTime.SECOND, "KELPOR", "a").outcome())
        .isEqualTo(Outcome.RINGS);
    long later = START + 180 * DayTime.SECOND + 8 * DayTime.MINUTE;
    assertThat(ring(later, "KELPOR", "a").outcome()).isEqualTo(Outcome.RINGS);
    assertThat(ring(later + DayTime.MINUTE, "KELPOR", "a").outcome())
        .as("a minute again")
        .isEqualTo(Outcome.RINGS);
  }

  @Test
  void aRuleThatFlapsAtItsBoundRingsAFewTimesAnHour() {
    int rings = 0;
    for (int i = 0; i < 720; i++) {
      rings += ring(START + i * 5 * DayTime.SECOND, "KELPOR", "a").rings() ? 1 : 0;
    }
    assertThat(rings).isBetween(5, 8);
  }

  @Test
  void theFirstOfTheDayIsMarkedAndAnotherSymbolIsNotSilenced() {
    assertThat(ring(START, "KELPOR", "a").isFirst()).isTrue();
    assertThat(ring(START + DayTime.SECOND, "KELPOR", "a").isFirst()).isFalse();
    assertThat(ring(START + DayTime.SECOND, "TIDARC", "a").outcome()).isEqualTo(Outcome.RINGS);
  }

  @Test
  void aScanHasSixRingsAMinuteAndThenOnlyWhatIsStronger() {
    List<Outcome> outcomes = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      outcomes.add(ring(START + i * DayTime.SECOND, "SYM" + i, "Opening highs").outcome());
    }
    assertThat(outcomes.subList(0, 6)).containsOnly(Outcome.RINGS);
    assertThat(outcomes.subList(6, 8)).containsOnly(Outcome.OVER_BUDGET);
    AlertEvent strong =
        event(START + 9 * DayTime.SECOND, "BIGONE", Kind.SCAN, "Opening highs", 5e6);
    assertThat(policy.take(strong, ATTENTION).orElseThrow().outcome()).isEqualTo(Outcome.RINGS);
    assertThat(ring(START + 10 * DayTime.SECOND, "KELPOR", "Opening highs").outcome())
        .as("a watched symbol has no budget")
        .isEqualTo(Outcome.RINGS);
    assertThat(ring(START + 70 * DayTime.SECOND, "SYM20", "Opening highs").outcome())
        .as("a minute later")
        .isEqualTo(Outcome.RINGS);
  }

  @Test
  void aScanHasFortyRingsAPhase() {
    int rings = 0;
    for (int i = 0; i < 200; i++) {
      long at = DayTime.of(10, 0) + i * 20 * DayTime.SECOND;
      rings += ring(at, "SYM" + i, "Opening highs").rings() ? 1 : 0;
    }
    assertThat(rings).isEqualTo(40);
    assertThat(ring(DayTime.of(11, 30), "SYMAFT", "Opening highs").outcome())
        .as("another phase")
        .isEqualTo(Outcome.RINGS);
  }

  @Test
  void whileItIsQuietOnlyHaltsAndHeldSymbolsRing() {
    assertThat(ring(QUIET, "KELPOR", "a").outcome()).isEqualTo(Outcome.QUIET);
    assertThat(ring(QUIET, "HELDXX", "a").outcome()).isEqualTo(Outcome.RINGS);
    assertThat(
            policy
                .take(event(QUIET, "KELPOR", Kind.HALT, "", 1), ATTENTION)
                .orElseThrow()
                .outcome())
        .isEqualTo(Outcome.RINGS);
    assertThat(ring(QUIET + DayTime.MINUTE, "KELPOR", "a").outcome()).isEqualTo(Outcome.RINGS);
  }

  @Test
  void aSnoozedSymbolIsSilentAndNoOther() {
    assertThat(ring(SNOOZED, "KELPOR", "a").outcome()).isEqualTo(Outcome.QUIET);
    assertThat(ring(SNOOZED, "TIDARC", "a").outcome()).isEqualTo(Outcome.RINGS);
    assertThat(ring(SNOOZED + 10 * DayTime.MINUTE, "KELPOR", "a").outcome())
        .isEqualTo(Outcome.RINGS);
  }

  private static Alert alert(String sentence, long armedAt) {
    return AlertSentence.parse(sentence, Vocabulary.DEFAULT, DATE)
        .alert()
        .arm(DATE.atTime(LocalTime.ofNanoOfDay(armedAt)));
  }

  private static Attention minding(Alert... alerts) {
    return new Attention(
        Set.of("HELDXX"),
        Set.of("KELPOR"),
        Map.of(),
        Map.of(),
        Set.of(),
        List.of(alerts).stream().collect(Collectors.toMap(Alert::name, alert -> alert)),
        DATE);
  }

  private Optional<Ring> ring(long at, String symbol, Alert alert) {
    return policy.take(event(at, symbol, Kind.ALERT, alert.name(), 1e6), minding(alert));
  }

  @Test
  void anAlertRingsOnceOnASymbolUntilItIsArmedAnew() {
    Alert alert = alert("everything: new high of day", START);

    assertThat(ring(START - 1, "DESALQ", alert)).as("before it was made").isEmpty();
    assertThat(ring(START, "DESALQ", alert).orElseThrow().outcome()).isEqualTo(Outcome.RINGS);
    assertThat(ring(START + DayTime.HOUR, "DESALQ", alert).orElseThrow().outcome())
        .isEqualTo(Outcome.SPENT);
    assertThat(ring(START + DayTime.HOUR, "OTHERS", alert).orElseThrow().outcome())
        .isEqualTo(Outcome.RINGS);
    Alert again = alert.arm(DATE.atTime(11, 0));
    assertThat(ring(DayTime.of(11, 1), "DESALQ", again).orElseThrow().outcome())
        .isEqualTo(Outcome.RINGS);
  }

  @Test
  void anAlertRingsAgainAfterItsOwnTime() {
    Alert alert = alert("everything: new high of day, again after 5m", START);

    assertThat(ring(START, "DESALQ", alert).orElseThrow().rings()).isTrue();
    assertThat(ring(START + 299 * DayTime.SECOND, "DESALQ", alert).orElseThrow().outcome())
        .isEqualTo(Outcome.COOLING);
    assertThat(ring(START + 300 * DayTime.SECOND, "DESALQ", alert).orElseThrow().rings()).isTrue();
  }

  @Test
  void anAlertThatIsOffOrSnoozedConcernsNobodyMeanwhile() {
    Alert alert = alert("everything: new high of day, again after 1m", START);
    Alert snoozed = alert.snooze(DATE.atTime(10, 0), DATE.atTime(10, 10));

    assertThat(ring(DayTime.of(9, 59), "DESALQ", snoozed)).isPresent();
    assertThat(ring(DayTime.of(10, 5), "DESALQ", snoozed)).isEmpty();
    assertThat(ring(DayTime.of(10, 10), "DESALQ", snoozed)).isPresent();
    assertThat(ring(DayTime.of(10, 10), "DESALQ", alert.off(DATE.atTime(10, 0)))).isEmpty();
  }

  @Test
  void anAlertOnOneSymbolCountsAsWatchingItAndOthersComeBeforeScansOnly() {
    Alert one = alert("DESALQ new high of day", START);
    Alert all = alert("everything: new high of day", START);
    Alert ten = alert("the ten: new high of day", START);

    assertThat(ring(START, "DESALQ", one).orElseThrow().rank()).isEqualTo(Rank.WATCHED);
    assertThat(ring(START, "DESALQ", all).orElseThrow().rank()).isEqualTo(Rank.ALERT);
    assertThat(ring(START, "HELDXX", all).orElseThrow().rank()).isEqualTo(Rank.HELD);
    assertThat(ring(START, "KELPOR", ten).orElseThrow().rank()).isEqualTo(Rank.WATCHED);
    assertThat(ring(START, "DESALQ", ten)).as("not on the Ten").isEmpty();
    assertThat(Rank.HALT_ELSEWHERE).isLessThan(Rank.ALERT);
    assertThat(Rank.ALERT).isLessThan(Rank.SCAN);
  }

  @Test
  void anAlertOnEverythingKeepsTheBudgetOfAScan() {
    Alert alert = alert("everything: new high of day", START);
    int rings = 0;
    for (int i = 0; i < 30; i++) {
      rings += ring(START + i * DayTime.SECOND, "SYM" + i, alert).orElseThrow().rings() ? 1 : 0;
    }
    assertThat(rings).isEqualTo(6);
  }

  @Test
  void whatRingsReachesTheTraderAsItsAlertListOrScanSays() {
    Alert alert = alert("DESALQ new high of day, once, by spoken and webhook", START);

    assertThat(ring(START, "DESALQ", alert).orElseThrow().how())
        .containsExactlyInAnyOrder(Channel.SPOKEN, Channel.WEBHOOK);
    assertThat(ring(START, "KELPOR", "Fresh news").how()).isEqualTo(Channel.USUAL);
    assertThat(ring(START, "BRIGAL", "Fresh news").how()).containsExactly(Channel.SPOKEN);
    assertThat(ring(START, "DESALQ", "Opening highs").how()).containsExactly(Channel.NOTIFICATION);
    assertThat(policy.take(event(START, "OTHERS", Kind.HALT, "", 1), ATTENTION).orElseThrow().how())
        .isEqualTo(Channel.USUAL);
  }
}
