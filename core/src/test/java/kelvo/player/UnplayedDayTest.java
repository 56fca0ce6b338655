package kelvo.player;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.LinkedBlockingQueue;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.hit.RandomSessions;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** A day that is played behind its window. */
class UnplayedDayTest {
  private static final int NO_ITEM = 2_000_000_000;
  private static final long NINE = DayTime.of(9, 0);
  private static final Scan HIGHS =
      TestSessions.scan("highs", List.of(Trigger.NEW_HIGH_OF_SESSION), "trades at least 20000");
  private static final Program PROGRAM = new Program(List.of(HIGHS), List.of());

  private final Session session = RandomSessions.of(7, 4, 200_000);
  private final ToldPlayer told = new ToldPlayer();
  private @Nullable SessionPlayer player;

  private SessionPlayer open(Program program) {
    SessionPlayer opened =
        new SessionPlayer(SessionRun.unplayed(session, program), NINE, told, () -> 0);
    player = opened;
    return opened;
  }

  private static List<String> brief(List<Hit> hits) {
    return hits.stream().map(hit -> hit.symbol() + " " + hit.at()).toList();
  }

  @AfterEach
  void close() {
    if (player != null) {
      player.close();
    }
  }

  @Test
  void itsMomentIsShownAsSoonAsItIsReachedAndNothingBefore() throws InterruptedException {
    LinkedBlockingQueue<Long> shown = new LinkedBlockingQueue<>();
    LinkedBlockingQueue<Long> playedThen = new LinkedBlockingQueue<>();
    open(PROGRAM)
        .follow(
            moment -> moment.now(),
            now -> {
              playedThen.add(new ArrayList<>(told.played).getLast());
              shown.add(now);
            });

    assertThat(ToldPlayer.next(shown)).isEqualTo(NINE);
    assertThat(ToldPlayer.next(playedThen)).isGreaterThanOrEqualTo(NINE).isLessThan(DayTime.LAST);
    assertThat(shown).isEmpty();
  }

  @Test
  void howFarItIsPlayedIsToldUpToTheEnd() throws InterruptedException {
    open(PROGRAM);
    List<Long> played = new ArrayList<>();
    do {
      played.add(ToldPlayer.next(told.played));
    } while (played.getLast() < DayTime.LAST);

    assertThat(played).isSorted().hasSizeGreaterThan(3);
  }

  @Test
  void aQuestionAboutTheDayIsAnsweredWhenAllOfItIsKnown() throws InterruptedException {
    LinkedBlockingQueue<List<String>> answers = new LinkedBlockingQueue<>();
    open(PROGRAM).ask(run -> brief(run.hits()), answers::add);

    assertThat(ToldPlayer.next(answers))
        .isEqualTo(brief(SessionRun.of(session, PROGRAM, Progress.NONE).hits()))
        .isNotEmpty();
  }

  @Test
  void anotherProgramGivenAtOnceHasItsHits() throws InterruptedException {
    Scan fewer =
        TestSessions.scan("highs", List.of(Trigger.NEW_HIGH_OF_SESSION), "trades at least 24000");
    Program changed = new Program(List.of(fewer), List.of());
    List<String> expected = brief(SessionRun.of(session, changed, Progress.NONE).hits());
    LinkedBlockingQueue<List<String>> shown = new LinkedBlockingQueue<>();
    SessionPlayer opened = open(PROGRAM);
    opened.play(changed);
    opened.seek(DayTime.LAST);
    opened.follow(moment -> brief(moment.hits()), shown::add);

    List<String> last = ToldPlayer.next(shown);
    while (!last.equals(expected)) {
      last = ToldPlayer.next(shown);
    }
    assertThat(last).isNotEmpty();
  }

  /** An item that the session does not have breaks the scan that reads it. */
  @Test
  void aRunThatBreaksIsToldOnceAndWhatWasReachedIsShown() throws InterruptedException {
    session.tape().news(DayTime.LAST - DayTime.MINUTE, 0, NO_ITEM);
    Scan news =
        TestSessions.scan("news", Trigger.parse("news (tone above 0.3)"), "price at least 0");
    LinkedBlockingQueue<Long> shown = new LinkedBlockingQueue<>();
    LinkedBlockingQueue<Integer> answers = new LinkedBlockingQueue<>();
    SessionPlayer opened = open(new Program(List.of(news), List.of()));
    opened.follow(moment -> moment.now(), shown::add);
    opened.ask(run -> run.hits().size(), answers::add);

    assertThat(ToldPlayer.next(shown)).isEqualTo(NINE);
    assertThat(ToldPlayer.next(told.troubles)).startsWith("playing the day after 19:5");
    assertThat(ToldPlayer.next(answers)).isPositive();
    assertThat(told.troubles).isEmpty();
    assertThat(told.ends).isEmpty();
  }
}
