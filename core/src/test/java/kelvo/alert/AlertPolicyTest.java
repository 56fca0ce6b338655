package kelvo.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import kelvo.field.FieldValues;
import kelvo.hit.Hit;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.watchlist.Watchlist;
import org.junit.jupiter.api.Test;

class AlertPolicyTest {
  private static final Watchlist WATCHED = new Watchlist("the Ten", List.of("KELPOR", "TIDARC"));
  private static final FieldValues NO_FIELDS =
      new FieldValues(List.of(), new double[0], new double[0], Map.of(), null);

  private static final long COOLDOWN = 2 * DayTime.SECOND;

  private final AlertPolicy policy = new AlertPolicy(COOLDOWN);

  private static Hit hit(String symbol, String scan) {
    return new Hit(
        0,
        scan,
        "",
        Side.UP,
        0,
        symbol,
        DayTime.of(9, 41),
        Trigger.NEW_HIGH_OF_DAY,
        82_000,
        NO_FIELDS);
  }

  private boolean rings(String symbol, String scan, long nanos) {
    return policy.rings(hit(symbol, scan), WATCHED, true, nanos);
  }

  @Test
  void onlyAWatchedSymbolRings() {
    assertThat(rings("KELPOR", "Opening highs", 0)).isTrue();
    assertThat(rings("DESALQ", "Opening highs", 0)).isFalse();
  }

  @Test
  void aSymbolIsSilentForTheCooldownAndOnlyThatSymbol() {
    assertThat(rings("KELPOR", "Opening highs", 0)).isTrue();
    assertThat(rings("KELPOR", "Opening highs", COOLDOWN - 1)).isFalse();
    assertThat(rings("TIDARC", "Opening highs", 1)).as("another symbol").isTrue();
    assertThat(rings("KELPOR", "Opening highs", COOLDOWN)).isTrue();
  }

  @Test
  void aHitThatDoesNotRingStartsNoCooldown() {
    policy.silence("Fresh news", true);
    assertThat(rings("KELPOR", "Fresh news", 0)).isFalse();
    assertThat(rings("KELPOR", "Opening highs", 1)).isTrue();
    policy.silence("Fresh news", false);
    assertThat(policy.silenced()).isEmpty();
    assertThat(rings("TIDARC", "Fresh news", 2)).isTrue();
  }

  @Test
  void nothingRingsWhileADayIsOnlyLookedAt() {
    assertThat(policy.rings(hit("KELPOR", "Opening highs"), WATCHED, false, 0)).isFalse();
    assertThat(rings("KELPOR", "Opening highs", 1)).isTrue();
  }
}
