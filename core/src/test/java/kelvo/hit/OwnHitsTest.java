package kelvo.hit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.explain.WhyNot;
import kelvo.field.FieldCatalogue;
import kelvo.job.Progress;
import kelvo.player.SessionRun;
import kelvo.replay.TapeReplay;
import kelvo.scan.Matches;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;

/** A rule about the hits of its own scan: new highs a minute apart, from 09:31 to 09:40. */
class OwnHitsTest {
  private static final int HIGHS = 10;

  private final Session session =
      TestSessions.of(
          1,
          tape -> {
            for (int i = 0; i <= HIGHS; i++) {
              tape.trade(at(i), 0, 100_000 + i * 1_000L, 100, SaleCondition.REGULAR.bit());
            }
          });

  private static long at(int minute) {
    return DayTime.of(9, 30) + minute * DayTime.MINUTE;
  }

  private static Scan scan(String name, String... rules) {
    return TestSessions.scan(name, List.of(Trigger.NEW_HIGH_OF_DAY), rules);
  }

  private List<Long> times(Scan... scans) {
    return TestSessions.hits(session, scans).stream()
        .filter(hit -> hit.scan().equals(scans[0].name()))
        .map(hit -> (hit.at() - at(0)) / DayTime.MINUTE)
        .toList();
  }

  @Test
  void aScanFallsSilentForAWhileByItsOwnHits() {
    assertThat(times(scan("All"))).hasSize(HIGHS);
    assertThat(times(scan("Seldom", "hits 3m at most 0"))).containsExactly(1L, 4L, 7L, 10L);
  }

  @Test
  void theHitsOfOtherScansDoNotCount() {
    assertThat(
            times(
                scan("Seldom", "hits 3m at most 0"),
                scan("All"),
                scan("Pairs", "hits 2m at most 0")))
        .containsExactly(1L, 4L, 7L, 10L);
  }

  @Test
  void aHitRecordsHowManyCameBeforeIt() {
    Scan counted = scan("Counted").listing(List.of(), List.of(FieldCatalogue.number("hits 5m")));

    assertThat(TestSessions.hits(session, counted))
        .extracting(hit -> hit.fields().of("hits 5m"))
        .startsWith(0.0, 1.0, 2.0, 3.0, 4.0, 4.0);
  }

  @Test
  void listsAndAnswersKnowThemAtEveryMoment() {
    Scan busy = scan("Busy", "hits 5m at least 3 or unknown");
    Scan all = scan("Busy").listing(List.of(), List.of(FieldCatalogue.number("hits 5m")));
    SessionRun run = SessionRun.of(session, new Program(List.of(all), List.of()), Progress.NONE);
    TapeReplay replay = run.replay();
    run.seek(replay, at(3) + 1);
    Matches matches = new Matches(all, session);

    assertThat(matches.at(replay::state, replay.clock()).getFirst().text(0)).isEqualTo("3");
    run.seek(replay, at(1) + 1);
    assertThat(matches.at(replay::state, replay.clock()).getFirst().text(0)).isEqualTo("1");
    assertThat(new Matches(busy, session).at(replay::state, replay.clock())).isEmpty();
    assertThat(WhyNot.explain(session, scan("Seldom", "hits 3m at most 0"), 0, at(2)))
        .extracting(answer -> answer.value())
        .containsExactly("1");
  }
}
