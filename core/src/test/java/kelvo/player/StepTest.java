package kelvo.player;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.hit.RandomSessions;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.session.Session;
import kelvo.tape.EventKind;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;

class StepTest {
  private final Session session = RandomSessions.of(5, 3, 3_000);
  private final SessionRun run =
      SessionRun.of(
          session,
          new Program(
              List.of(
                  TestSessions.scan(
                      "highs", List.of(Trigger.NEW_HIGH_OF_SESSION), "trades at least 1")),
              List.of()),
          Progress.NONE);

  private long go(Step step, long now, int way) {
    return step.from(run, "AAAAAA", now, way);
  }

  /** All moments that are reached one after another. */
  private List<Long> walk(Step step, int way) {
    long begin = way > 0 ? DayTime.FIRST : DayTime.LAST;
    return Stream.iterate(go(step, begin, way), at -> at != begin, at -> next(step, at, way, begin))
        .toList();
  }

  private long next(Step step, long at, int way, long end) {
    long next = go(step, at, way);
    return next == at ? end : next;
  }

  @Test
  void everyHitIsReachedBothWays() {
    List<Long> moments = run.hits().stream().map(Hit::at).distinct().toList();

    assertThat(moments).hasSizeGreaterThan(5);
    assertThat(walk(Step.HIT, 1)).isEqualTo(moments);
    assertThat(walk(Step.HIT, -1)).isEqualTo(moments.reversed());
  }

  @Test
  void everyPrintOfTheSymbolIsReached() {
    List<Long> moments =
        Arrays.stream(session.tape().eventsOf(0, session.tape().size()))
            .filter(event -> session.tape().kind(event) == EventKind.TRADE)
            .mapToObj(session.tape()::time)
            .filter(at -> at > DayTime.FIRST)
            .distinct()
            .sorted()
            .toList();

    assertThat(moments).hasSizeGreaterThan(100);
    assertThat(walk(Step.PRINT, 1)).isEqualTo(moments);
  }

  @Test
  void secondsAndMinutesAreWholeOnes() {
    long now = DayTime.of(9, 41) + 1_500 * DayTime.MILLISECOND;

    assertThat(go(Step.SECOND, now, 1)).isEqualTo(DayTime.of(9, 41) + 2 * DayTime.SECOND);
    assertThat(go(Step.SECOND, now, -1)).isEqualTo(DayTime.of(9, 41) + DayTime.SECOND);
    assertThat(go(Step.MINUTE, now, 1)).isEqualTo(DayTime.of(9, 42));
    assertThat(go(Step.MINUTE, now, -1)).isEqualTo(DayTime.of(9, 41));
    assertThat(go(Step.MINUTE, DayTime.of(9, 41), -1)).isEqualTo(DayTime.of(9, 40));
    assertThat(go(Step.MINUTE, DayTime.LAST, 1)).isEqualTo(DayTime.LAST);
  }

  @Test
  void whereNothingIsLeftOneStays() {
    assertThat(go(Step.PRINT, DayTime.LAST, 1)).isEqualTo(DayTime.LAST);
    assertThat(Step.PRINT.from(run, "NOSUCH", DayTime.of(9, 0), 1)).isEqualTo(DayTime.of(9, 0));
  }
}
