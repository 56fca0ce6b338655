package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import kelvo.alert.AlertBook;
import kelvo.alert.AlertLimits;
import kelvo.alert.AttentionOverDay;
import kelvo.alert.Ring;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.scanfile.ScanFile;
import kelvo.delivery.Channel;
import kelvo.hit.Program;
import kelvo.job.Progress;
import kelvo.journal.DayBook;
import kelvo.player.SessionRun;
import kelvo.replay.TapeReplay;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.view.Moment;
import kelvo.view.RangView;
import kelvo.watchlist.Watchlist;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What rings over a whole invented day, with every scan ringing on any symbol. */
@Tag("proof")
class RingsOfTheDemoTest {
  private static final List<Scan> SCANS = ScanFile.shipped(Vocabulary.DEFAULT);

  @TempDir static Path folder;

  private static Session session;
  private static SessionRun run;

  @BeforeAll
  static void play() {
    SmallDemo.copyTo(folder);
    session =
        new DataFolder(folder, new ExchangeCalendar()).session(DemoSize.SESSION, Progress.NONE);
    run = SessionRun.of(session, new Program(SCANS, List.of()), Progress.NONE);
  }

  private static RangView view() {
    Watchlist watched = Watchlist.of("mine", List.of("TIDARC", "KELPOR", "GENSED"));
    Map<String, Set<Channel>> all =
        SCANS.stream().collect(Collectors.toMap(Scan::name, scan -> Channel.USUAL));
    return new RangView(
        session,
        new AttentionOverDay(
            DemoSize.SESSION,
            DayBook.EMPTY,
            List.of(watched),
            new AlertBook(List.of(), all),
            Set.of()),
        AlertLimits.DEFAULT,
        List.of());
  }

  private static RangView.Rang at(RangView view, long moment) {
    TapeReplay replay = run.replay();
    run.seek(replay, moment);
    return view.look(new Moment(replay, run.hitsUntil(moment)));
  }

  private record Key(String symbol, String source, String words) {}

  @Test
  void nothingRingsTwiceWithinItsCooldown() {
    Map<Key, Long> rangAt = new HashMap<>();
    for (RangView.Rung rung : at(view(), DayTime.LAST).rings().reversed()) {
      Ring ring = rung.ring();
      Key key = new Key(ring.event().symbol(), ring.event().source(), ring.event().words());
      Long before = rangAt.put(key, ring.event().at());
      if (before != null) {
        assertThat(ring.isFirst()).as(key + " again").isFalse();
        assertThat(ring.event().at() - before)
            .as(key.toString())
            .isGreaterThanOrEqualTo(AlertLimits.DEFAULT.cooldown());
      }
    }
    assertThat(rangAt).hasSizeGreaterThan(20);
  }

  @Test
  void aScanStaysWithinItsBudgetButForWhatIsStrongerAndHaltsAreAllThere() {
    RangView.Rang rang = at(view(), DayTime.LAST);
    Map<String, Deque<Long>> minutes = new HashMap<>();
    long over = 0;
    long ofScans = 0;
    for (RangView.Rung rung : rang.rings().reversed()) {
      Ring ring = rung.ring();
      if (ring.rank() == Ring.Rank.SCAN) {
        Deque<Long> minute =
            minutes.computeIfAbsent(ring.event().source(), scan -> new ArrayDeque<>());
        long at = ring.event().at();
        minute.removeIf(old -> at - old >= DayTime.MINUTE);
        minute.add(at);
        over += minute.size() > AlertLimits.DEFAULT.aMinute() ? 1 : 0;
        ofScans++;
      }
    }

    assertThat(over).as("only what was stronger than all of its minute").isLessThan(ofScans / 5);
    assertThat(rang.heldBack()).as("most repeats are held back").isGreaterThan(rang.rings().size());
    assertThat(rang.rings().stream().filter(rung -> rung.ring().rank() == Ring.Rank.HALT_ELSEWHERE))
        .isNotEmpty();
  }

  @Test
  void aDayThatIsWalkedRingsAsOneThatIsAskedForAtOnce() {
    RangView walked = view();
    for (long moment = DayTime.of(9, 0);
        moment <= DayTime.of(11, 0);
        moment += 17 * DayTime.MINUTE) {
      assertThat(at(walked, moment)).isEqualTo(at(view(), moment));
    }
  }
}
