package kelvo.hit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** Reading busy securities ahead of any question changes no answer. */
class KeepUpProperties {
  /** Enough for each of the two to be read several times, with corrections. */
  private static final int EVENTS = 16_000;

  private static final List<Scan> SCANS =
      List.of(
          scan("late question", "trades at least 3K", "largest print at least 500"),
          scan("windows", "trades at least 2K", "volume 5m at least 5K", "trades 1m at most 20"),
          scan("bars", "volume at least 100K", "coil 5m is yes"),
          scan("opening range", "price above opening range high 5m or unknown"));

  private static Scan scan(String name, String... rules) {
    return TestSessions.scan(name, List.of(Trigger.ENTERS, Trigger.LEAVES), rules);
  }

  @Property(tries = 4)
  void hitsAreTheSame(@ForAll long seed) {
    Session session = RandomSessions.of(seed, 2, EVENTS);

    assertThat(hits(session, true)).isEqualTo(hits(session, false)).isNotEmpty();
  }

  private record Found(long at, String scan, int security, Trigger trigger) {}

  private static List<Found> hits(Session session, boolean keepsUp) {
    List<Hit> hits = new ArrayList<>();
    TapeReplay replay = new TapeReplay(session);
    ScanEngine scans = new ScanEngine(replay, new Program(SCANS, List.of()), hits::add);
    if (keepsUp) {
      scans.keepUp();
    }
    replay.listen(scans);
    replay.runTo(DayTime.LAST);
    return hits.stream()
        .map(hit -> new Found(hit.at(), hit.scan(), hit.security(), hit.trigger()))
        .toList();
  }
}
