package kelvo.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import kelvo.alert.AlertEvent.Kind;
import kelvo.alert.Ring.Outcome;
import kelvo.alert.Ring.Rank;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import org.junit.jupiter.api.Test;

class AlertPolicyTest {
  private static final long START = DayTime.of(9, 41);
  private static final long QUIET = DayTime.of(12, 0);
  private static final long SNOOZED = DayTime.of(13, 0);
  private static final Attention ATTENTION =
      new Attention(
          Set.of("HELDXX"), Set.of("KELPOR", "TIDARC"), Set.of("Opening highs"), Set.of());

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
        dollars);
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
  void aSilencedScanRingsOnNobodyButAHaltAlwaysDoes() {
    Attention silent = new Attention(Set.of(), Set.of("KELPOR"), Set.of(), Set.of("Fresh news"));
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
}
