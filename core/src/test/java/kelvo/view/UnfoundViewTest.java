package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.hit.RandomSessions;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.player.SessionRun;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;

class UnfoundViewTest {
  private static final Scan HIGHS =
      TestSessions.scan("highs", List.of(Trigger.NEW_HIGH_OF_SESSION), "change % at least 2%");

  private final Session session = RandomSessions.of(5, 40, 20_000);
  private final SessionRun run =
      SessionRun.of(session, new Program(List.of(HIGHS), List.of()), Progress.NONE);
  private final UnfoundView view = new UnfoundView(session, Set.of("highs"));

  private List<UnfoundView.Mover> at(long now) {
    TapeReplay replay = new TapeReplay(session);
    run.seek(replay, now);
    return view.look(new Moment(replay, run.hitsUntil(now)));
  }

  private Set<String> hitUntil(long now) {
    return run.hitsUntil(now).stream().map(Hit::symbol).collect(Collectors.toSet());
  }

  @Test
  void noMoverHasBeenHitAndTheLargestComeFirst() {
    for (long now : new long[] {DayTime.of(16, 0), DayTime.of(9, 0), DayTime.of(12, 0)}) {
      List<UnfoundView.Mover> movers = at(now);

      assertThat(movers)
          .extracting(UnfoundView.Mover::symbol)
          .doesNotContainAnyElementsOf(hitUntil(now));
      assertThat(movers).extracting(mover -> -Math.abs(mover.changePercent())).isSorted();
    }
    assertThat(hitUntil(DayTime.of(16, 0))).isNotEmpty();
    assertThat(at(DayTime.of(16, 0))).isNotEmpty();
  }

  @Test
  void hitsOfOtherThingsThanScansDoNotCount() {
    UnfoundView ofOthers = new UnfoundView(session, Set.of("another scan"));
    TapeReplay replay = new TapeReplay(session);
    run.seek(replay, DayTime.of(16, 0));

    assertThat(ofOthers.look(new Moment(replay, run.hitsUntil(DayTime.of(16, 0)))))
        .hasSizeGreaterThan(at(DayTime.of(16, 0)).size() - 1);
  }
}
