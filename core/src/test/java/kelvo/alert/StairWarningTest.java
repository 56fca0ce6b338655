package kelvo.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.player.SessionRun;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;

class StairWarningTest {
  private static final Scan STAIRS =
      TestSessions.scan("stairs", Trigger.parse("stair step 1"), "price at least 1");
  private static final Scan HIGHS =
      TestSessions.scan("highs", List.of(Trigger.NEW_HIGH_OF_DAY), "price at least 1");

  /** A step: up 3%, back a third of it, over the high; on few shares under a wide quote. */
  private static void thin(EventTape tape) {
    long[] prices = {100_000, 103_000, 102_000, 103_500};
    for (int i = 0; i < prices.length; i++) {
      long at = DayTime.of(9, 31) + i * DayTime.MINUTE;
      tape.quote(at - 1, 0, prices[i] - 2_000, 200, prices[i] + 2_000, 200);
      tape.trade(at, 0, prices[i], 500, SaleCondition.REGULAR.bit());
    }
  }

  private static List<Hit> hits() {
    Session session = TestSessions.of(1, StairWarningTest::thin);
    return SessionRun.of(session, new Program(List.of(STAIRS, HIGHS), List.of()), Progress.NONE)
        .hits();
  }

  @Test
  void anEarlyStepSaysWhatSpeaksAgainstIt() {
    Hit step = hits().stream().filter(hit -> hit.scan().equals("stairs")).findFirst().orElseThrow();

    assertThat(StairWarning.of(step))
        .contains("only 2000 shares so far", "no support below", "spread 3.9%", "200 shares bid");
    assertThat(AlertEvent.of(step).warning()).isEqualTo(StairWarning.of(step));
  }

  @Test
  void otherHitsHaveNone() {
    assertThat(hits().stream().filter(hit -> hit.scan().equals("highs")))
        .isNotEmpty()
        .allSatisfy(hit -> assertThat(StairWarning.of(hit)).isEmpty());
  }
}
