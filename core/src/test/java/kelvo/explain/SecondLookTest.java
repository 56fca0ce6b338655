package kelvo.explain;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.Predicate;
import kelvo.hit.Program;
import kelvo.hit.RandomSessions;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.player.SessionRun;
import kelvo.replay.TapeReplay;
import kelvo.scan.Matches;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

class SecondLookTest {
  private static final long FIRST = DayTime.of(9, 25);
  private static final long SECOND = DayTime.of(10, 0);

  @Property(tries = 15)
  void itTellsWhoTheScanListsAtEitherMoment(@ForAll long seed) {
    Session session = RandomSessions.of(seed, 40, 8_000);
    Scan scan = TestSessions.scan("m", List.of(), "trades at least 30", "change % at least 0.5%");
    SessionRun run = SessionRun.of(session, new Program(List.of(scan), List.of()), Progress.NONE);

    SecondLook look = SecondLook.of(run, scan, FIRST, SECOND);

    assertThat(symbols(look, row -> row.status() != SecondLook.Status.NEW))
        .containsExactlyInAnyOrderElementsOf(listed(run, scan, FIRST));
    assertThat(symbols(look, row -> row.status() != SecondLook.Status.FELL_OUT))
        .containsExactlyInAnyOrderElementsOf(listed(run, scan, SECOND));
    assertThat(look.rows())
        .allMatch(
            row ->
                row.why().contains("change % at least 0.5%")
                    == (row.status() == SecondLook.Status.FELL_OUT));
  }

  private static List<String> symbols(SecondLook look, Predicate<SecondLook.Row> wanted) {
    return look.rows().stream().filter(wanted).map(SecondLook.Row::symbol).toList();
  }

  private static List<String> listed(SessionRun run, Scan scan, long moment) {
    TapeReplay engine = run.replay();
    run.seek(engine, moment);
    return new Matches(scan, run.session())
        .at(engine::state, engine.clock()).stream()
            .map(row -> run.session().security(row.security()).symbol())
            .toList();
  }
}
