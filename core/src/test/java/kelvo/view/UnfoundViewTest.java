package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import kelvo.hit.Program;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.player.SessionRun;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

/**
 * AAAAAA rises by 8% and is hit at 10:00; BBBBBB by 3%; CCCCCC falls by 6%; DDDDDD hardly trades.
 */
class UnfoundViewTest {
  private static final Scan RISERS = TestSessions.scan("risers", List.of(), "change % at least 5%");

  private final Session session =
      TestSessions.of(
          4,
          tape -> {
            for (int i = 0; i < 30; i++) {
              print(tape, DayTime.of(9, 40) + i * DayTime.SECOND, 0, 10.00);
              print(tape, DayTime.of(9, 40) + i * DayTime.SECOND, 1, 10.30);
              print(tape, DayTime.of(9, 40) + i * DayTime.SECOND, 2, 9.40);
            }
            print(tape, DayTime.of(9, 50), 3, 11.00);
            print(tape, DayTime.of(10, 0), 0, 10.80);
          });
  private final SessionRun run =
      SessionRun.of(session, new Program(List.of(RISERS), List.of()), Progress.NONE);

  private static void print(EventTape tape, long at, int security, double price) {
    tape.trade(at, security, Math.round(price * 10_000), 1_000, SaleCondition.REGULAR.bit());
  }

  private List<String> shown(UnfoundView view, long now) {
    TapeReplay replay = new TapeReplay(session);
    run.seek(replay, now);
    return view.look(new Moment(replay, run.hitsUntil(now))).stream()
        .map(UnfoundView.Mover::symbol)
        .toList();
  }

  @Test
  void whatWasHitIsNotThereAndTheLargestMoveComesFirst() {
    UnfoundView view = new UnfoundView(session, Set.of("risers"));

    assertThat(shown(view, DayTime.of(11, 0))).containsExactly("CCCCCC", "BBBBBB");
    assertThat(shown(view, DayTime.of(9, 59))).containsExactly("CCCCCC", "BBBBBB", "AAAAAA");
    assertThat(shown(view, DayTime.of(11, 0))).containsExactly("CCCCCC", "BBBBBB");
  }

  @Test
  void onlyHitsOfTheScansThatCountAreHits() {
    assertThat(shown(new UnfoundView(session, Set.of("others")), DayTime.of(11, 0)))
        .containsExactly("AAAAAA", "CCCCCC", "BBBBBB");
  }
}
