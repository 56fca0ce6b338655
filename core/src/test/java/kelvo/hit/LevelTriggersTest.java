package kelvo.hit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;

/** Scans that wait for a level at $10, on prints a second apart from 10:00 on. */
class LevelTriggersTest {
  private static final Level LEVEL =
      new Level("AAAAAA", 100_000, LevelKind.BY_HAND, DayTime.FIRST, Long.MAX_VALUE, 0);

  /** The prints, by their place, at which a trigger fires. */
  private static List<Integer> fired(String trigger, double... prices) {
    Session session =
        TestSessions.of(
            1,
            tape -> {
              for (int i = 0; i < prices.length; i++) {
                tape.trade(
                    DayTime.of(10, 0) + i * DayTime.SECOND,
                    0,
                    Math.round(prices[i] * 10_000),
                    1_000 - 100 * i,
                    SaleCondition.REGULAR.bit());
              }
            });
    Scan scan = TestSessions.scan("watch", Trigger.parse(trigger));
    List<Integer> fired = new ArrayList<>();
    ScanEngine.replay(
            session,
            new Program(List.of(scan), List.of(LEVEL)),
            hit -> {
              if (hit.scan().equals("watch")) {
                fired.add((int) ((hit.at() - DayTime.of(10, 0)) / DayTime.SECOND));
              }
            })
        .runTo(DayTime.LAST);
    return fired;
  }

  @Test
  void aLevelIsPassedTouchedAndRetested() {
    assertThat(fired("rises through level", 9.95, 10.05, 9.90)).containsExactly(1);
    assertThat(fired("falls through level", 9.95, 10.05, 9.90)).containsExactly(2);
    assertThat(fired("touches level", 9.95, 10.00, 10.00)).containsExactly(1);
    assertThat(fired("retests level", 9.95, 10.05, 10.20, 10.01)).containsExactly(3);
    assertThat(fired("retests level on less volume", 9.95, 10.05, 10.20, 10.01))
        .as("the minute of the retest has the break's prints too")
        .isEmpty();
  }
}
