package kelvo.desktop.workspace;

import static org.assertj.core.api.Assertions.assertThat;

import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class PresenceTest {
  private static final long SECOND = 1_000_000_000L;

  private long time;
  private long moment = DayTime.of(9, 30);
  private final Presence presence = new Presence(() -> time, () -> moment);

  private void pass(long seconds) {
    time += seconds * SECOND;
    moment += seconds * SECOND;
  }

  @Test
  void whoComesBackAfterTwoMinutesWasAway() {
    pass(119);
    presence.touched();
    assertThat(presence.away().get()).isNull();

    pass(600);
    presence.touched();
    assertThat(presence.away().get())
        .isEqualTo(new Presence.Away(DayTime.of(9, 30) + 119 * SECOND, moment));
    presence.lookedThrough();
    assertThat(presence.away().get()).isNull();
  }

  @Test
  void whatIsNotLookedThroughYetGrows() {
    pass(300);
    presence.touched();
    long first = presence.away().get().from();
    pass(10);
    presence.touched();
    pass(300);
    presence.touched();

    assertThat(presence.away().get()).isEqualTo(new Presence.Away(first, moment));
  }

  @Test
  void whileTheDayStandsStillNobodyMissesAnything() {
    time += 3_600 * SECOND;
    presence.touched();
    assertThat(presence.away().get()).isNull();
  }
}
