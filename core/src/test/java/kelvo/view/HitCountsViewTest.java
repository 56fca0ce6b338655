package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
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
import kelvo.view.HitCountsView.HitCounts;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

class HitCountsViewTest {
  private static final Scan HIGHS =
      TestSessions.scan("highs", List.of(Trigger.NEW_HIGH_OF_SESSION), "trades at least 1");
  private static final Scan LOWS =
      TestSessions.scan("lows", List.of(Trigger.NEW_LOW_OF_SESSION), "trades at least 1");

  private final Session session = RandomSessions.of(7, 4, 4_000);
  private final List<SessionRun> programs = List.of(played(HIGHS), played(LOWS));

  private SessionRun played(Scan scan) {
    return SessionRun.of(session, new Program(List.of(scan), List.of()), Progress.NONE);
  }

  /** Wherever time goes, and whichever scans are looked through. */
  @Property(tries = 30)
  void countsWhatIsThere(
      @ForAll @Size(6) List<@IntRange(min = 0, max = 16 * 60 * 60) Integer> seconds,
      @ForAll @Size(6) List<@IntRange(max = 1) Integer> program) {
    HitCountsView view = new HitCountsView();
    for (int i = 0; i < seconds.size(); i++) {
      long now = DayTime.FIRST + seconds.get(i) * DayTime.SECOND;
      SessionRun run = programs.get(program.get(i));
      TapeReplay replay = new TapeReplay(session);
      run.seek(replay, now);
      List<Hit> hits = run.hitsUntil(now);

      HitCounts counts = view.look(new Moment(replay, hits, program.get(i)));

      assertThat(counts.all()).isEqualTo(hits.size());
      assertThat(counts.lastMinute())
          .isEqualTo((int) hits.stream().filter(h -> h.at() > now - DayTime.MINUTE).count());
      assertThat(counts.byMinute().stream().mapToInt(Integer::intValue).sum())
          .isEqualTo(hits.size());
      long hour = DayTime.FIRST + DayTime.HOUR;
      assertThat(counts.within(hour, hour + DayTime.HOUR - 1))
          .isEqualTo(
              (int)
                  hits.stream().filter(h -> h.at() / DayTime.HOUR == hour / DayTime.HOUR).count());
    }
  }
}
