package kelvo.chart;

import static org.assertj.core.api.Assertions.assertThat;

import kelvo.hit.RandomSessions;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.time.DayTime;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class SparksTest {
  /** Lines that are kept are those that would be made anew, also when the moment goes back. */
  @Property(tries = 8)
  void aLineIsThatOfTheBarsAtEachMoment(@ForAll long seed) {
    Session session = RandomSessions.of(seed, 6, 3_000);
    Sparks sparks = new Sparks(session);
    for (int hour : new int[] {8, 10, 11, 15, 9, 16}) {
      long moment = DayTime.of(hour, 30);
      TapeReplay replay = new TapeReplay(session);
      replay.runTo(moment);
      for (int i = 0; i < session.securities().size(); i++) {
        Spark kept = sparks.at(replay.state(i), moment);
        Spark fresh = Spark.of(new MinuteBars(session, i).advanceTo(moment));
        assertThat(kept.starts()).containsExactly(fresh.starts());
        assertThat(kept.closes()).containsExactly(fresh.closes());
      }
    }
  }

  @Test
  void withoutAPrintNothingIsMadeAnew() {
    Session session = RandomSessions.of(7, 2, 400);
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(DayTime.LAST);
    Sparks sparks = new Sparks(session);

    assertThat(sparks.at(replay.state(0), DayTime.LAST))
        .isSameAs(sparks.at(replay.state(0), DayTime.LAST));
  }
}
