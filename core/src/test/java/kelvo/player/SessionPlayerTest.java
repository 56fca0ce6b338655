package kelvo.player;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.atomic.AtomicLong;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.RecentHits;
import kelvo.hit.Hit;
import kelvo.hit.LevelHits;
import kelvo.hit.Program;
import kelvo.hit.RandomSessions;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.view.ClockView;
import kelvo.view.HitsView;
import kelvo.view.Moment;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class SessionPlayerTest {
  private static final long NINE = DayTime.of(9, 0);
  private static final long NOON = DayTime.of(12, 0);
  private static final Scan HIGHS =
      TestSessions.scan("highs", List.of(Trigger.NEW_HIGH_OF_SESSION), "trades at least 10");

  private final Session session = RandomSessions.of(7, 4, 6_000);
  private final SessionRun run =
      SessionRun.of(session, new Program(List.of(HIGHS), List.of()), Progress.NONE);
  private final ToldPlayer told = new ToldPlayer();
  private final AtomicLong wall = new AtomicLong();
  private final SessionPlayer player = new SessionPlayer(run, NINE, told, wall::get);
  private final LinkedBlockingQueue<ClockView.Clock> clocks = new LinkedBlockingQueue<>();

  @AfterEach
  void close() {
    player.close();
  }

  private void awaitClock(long moment) throws InterruptedException {
    ClockView.Clock clock = ToldPlayer.next(clocks);
    while (clock.moment() != moment) {
      clock = ToldPlayer.next(clocks);
    }
  }

  @Test
  void aFollowedViewIsAnsweredAtOnceAndAtEveryMoment() throws InterruptedException {
    player.follow(new ClockView(), clocks::add);
    awaitClock(NINE);
    player.seek(NOON);
    awaitClock(NOON);
  }

  @Test
  void aViewThatNobodyFollowsAnyMoreIsNotAsked() throws InterruptedException {
    LinkedBlockingQueue<Long> asked = new LinkedBlockingQueue<>();
    Player.Following following = player.follow(moment -> moment.now(), asked::add);
    ToldPlayer.next(asked);
    following.close();
    player.follow(new ClockView(), clocks::add);
    awaitClock(NINE);
    asked.clear();

    player.seek(NOON);
    awaitClock(NOON);

    assertThat(asked).isEmpty();
  }

  @Test
  void theClockGoesWithTheWallClockTimesTheSpeed() throws InterruptedException {
    player.follow(new ClockView(), clocks::add);
    awaitClock(NINE);
    player.speed(60);
    player.ask(r -> true, ready -> wall.set(DayTime.SECOND));

    awaitClock(NINE + DayTime.MINUTE);
    player.speed(0);
    player.seek(NINE);
    wall.set(DayTime.HOUR);
    awaitClock(NINE);
  }

  @Test
  void eachHitIsToldOnceWhenTheClockFirstPassesIt() throws InterruptedException {
    player.follow(new ClockView(), clocks::add);
    player.seek(NOON);
    awaitClock(NOON);
    player.seek(NINE);
    awaitClock(NINE);
    player.seek(NOON);
    awaitClock(NOON);

    assertThat(told.hits).isEqualTo(run.hitsUntil(NOON)).isNotEmpty();
  }

  /** The hits of a scan so far, as its own rules would count them. */
  private double ownHits(Moment moment) {
    Field.Number field = RecentHits.in(FieldCatalogue.number("hits 600m"), HIGHS.name());
    double sum = 0;
    for (int i = 0; i < session.securities().size(); i++) {
      sum += field.bind(session).at(moment.state(i), moment.now());
    }
    return sum;
  }

  @Test
  void afterAChangeOfAScanItsNewHitsAreCounted() throws InterruptedException {
    Scan fewer =
        TestSessions.scan("highs", List.of(Trigger.NEW_HIGH_OF_SESSION), "trades at least 60");
    Program changed = new Program(List.of(fewer), List.of());
    double before = run.hitsUntil(NOON).size();
    double after = SessionRun.of(session, changed, Progress.NONE).hitsUntil(NOON).size();
    assertThat(after).isLessThan(before).isPositive();
    LinkedBlockingQueue<Double> counted = new LinkedBlockingQueue<>();
    player.seek(NOON);
    player.follow(this::ownHits, counted::add);

    assertThat(ToldPlayer.next(counted)).isEqualTo(before);
    player.play(changed);
    double next = ToldPlayer.next(counted);
    while (next == before) {
      next = ToldPlayer.next(counted);
    }
    assertThat(next).isEqualTo(after);
  }

  @Test
  void aCommandThatThrowsIsToldAndThePlayerGoesOn() throws InterruptedException {
    player.ask(
        r -> {
          throw new IllegalStateException("no such answer");
        },
        answer -> {});

    assertThat(ToldPlayer.next(told.troubles)).isEqualTo("answering: no such answer");
    player.follow(new ClockView(), clocks::add);
    player.seek(NOON);
    awaitClock(NOON);
  }

  @Test
  void aViewThatThrowsIsToldOnceAndTheOthersAreAnswered() throws InterruptedException {
    player.follow(
        moment -> {
          throw new IllegalStateException("cannot be shown");
        },
        answer -> {});
    player.follow(new ClockView(), clocks::add);
    player.seek(NOON);
    awaitClock(NOON);
    player.seek(NINE);
    awaitClock(NINE);

    assertThat(told.troubles).singleElement().asString().contains("cannot be shown");
  }

  @Test
  void whoeverHearsOfHitsMayThrowAndHearsOfTheNextOne() throws InterruptedException {
    told.onHit =
        hit -> {
          if (hit.at() > NINE) {
            throw new IllegalStateException("the ledger is gone");
          }
        };
    player.seek(NOON);
    int thrown = run.hitsUntil(NOON).size() - run.hitsUntil(NINE).size();
    assertThat(thrown).isGreaterThan(1);
    for (int i = 0; i < thrown; i++) {
      assertThat(ToldPlayer.next(told.troubles)).isEqualTo("telling of a hit: the ledger is gone");
    }

    assertThat(told.hits).isEqualTo(run.hitsUntil(NOON));
  }

  /** What is no exception but an error of the machine ends the thread, and that is told. */
  @Test
  void aPlayerThatHasToStopSaysSo() throws InterruptedException {
    player.follow(
        moment -> {
          throw new LinkageError("this build is broken");
        },
        answer -> {});

    assertThat(ToldPlayer.next(told.ends)).hasMessage("this build is broken");
  }

  @Test
  void anotherProgramIsReplayedApartAndItsHitsAreListed() throws InterruptedException {
    LinkedBlockingQueue<List<Hit>> lists = new LinkedBlockingQueue<>();
    player.seek(NOON);
    player.follow(new HitsView(), lists::add);
    Level level =
        Level.standing("AAAAAA", session.tape().price(newestPrint()), LevelKind.BY_HAND, NINE);
    Program other = new Program(List.of(HIGHS), List.of(level));

    player.play(other);

    List<Hit> expected = SessionRun.of(session, other, Progress.NONE).hitsUntil(NOON);
    List<Hit> shown = ToldPlayer.next(lists);
    while (!shown.equals(expected)) {
      shown = ToldPlayer.next(lists);
    }
    assertThat(shown).extracting(Hit::scan).contains(LevelHits.LEVELS, "highs");
  }

  /** A print of the first security before noon, whose price is sure to be touched. */
  private int newestPrint() {
    for (int i = session.tape().countUntil(NOON) - 1; ; i--) {
      if (session.tape().isTrade(i) && session.tape().symbol(i) == 0) {
        return i;
      }
    }
  }
}
