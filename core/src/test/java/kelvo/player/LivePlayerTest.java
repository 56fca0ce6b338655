package kelvo.player;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import kelvo.hit.Hit;
import kelvo.hit.LevelHits;
import kelvo.hit.Program;
import kelvo.hit.RandomSessions;
import kelvo.hit.TapeCopy;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.view.View;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A session that still goes on gives the hits that it gives when it is played afterwards. */
class LivePlayerTest {
  private static final int SECURITIES = 8;
  private static final int EVENTS = 120_000;
  private static final List<Scan> SCANS =
      List.of(
          TestSessions.scan(
              "busy", List.of(Trigger.ENTERS, Trigger.LEAVES), "volume 5m at least 500K"),
          TestSessions.scan("highs", List.of(Trigger.NEW_HIGH_OF_DAY), "trades at least 100"),
          TestSessions.scan("news", List.of(Trigger.ENTERS), "minutes since news between 2 and 9"));

  private record Shot(long moment, int events, List<Hit> hits) {}

  private static final View<Shot> SHOTS =
      moment -> new Shot(moment.now(), moment.events(), moment.hits());

  /** Brings a recorded session in pieces of any size, some of them empty. */
  private static final class Pieces implements LiveSource {
    private final EventTape from;
    private final EventTape to;
    private final SplittableRandom random;
    private volatile int end;
    private int next;
    private Runnable wake = () -> {};

    Pieces(Session recorded, Session live, long seed, int end) {
      from = recorded.tape();
      to = live.tape();
      random = new SplittableRandom(seed);
      this.end = end;
    }

    @Override
    public long drain() {
      int until = Math.min(end, next + random.nextInt(4_000));
      while (next < until) {
        TapeCopy.event(from, next++, to);
      }
      wake.run();
      return next == from.size() ? DayTime.LAST : next == 0 ? 0 : from.time(next - 1);
    }

    /** Lets more come. */
    void until(int newEnd) {
      end = newEnd;
    }

    @Override
    public void onArrival(Runnable arrived) {
      wake = arrived;
    }
  }

  private static Session unplayed(Session session) {
    return new Session(
            session.hours(),
            session.phases(),
            session.securities(),
            session.catalysts(),
            session.knownEvents(),
            new EventTape(SECURITIES))
        .with(session.earlier());
  }

  /** The price of a security's newest print before an event: one that is sure to be touched. */
  private static long newestPrice(Session session, int security, int before) {
    for (int i = before - 1; i >= 0; i--) {
      if (session.tape().isTrade(i) && session.tape().symbol(i) == security) {
        return session.tape().price(i);
      }
    }
    throw new IllegalStateException("no print of security " + security);
  }

  private static Shot awaitEvents(LinkedBlockingQueue<Shot> shots, int events, long moment)
      throws InterruptedException {
    Shot shot = shots.poll(60, TimeUnit.SECONDS);
    while (shot != null && (shot.events() < events || shot.moment() < moment)) {
      shot = shots.poll(60, TimeUnit.SECONDS);
    }
    return java.util.Objects.requireNonNull(shot, "no snapshot within a minute");
  }

  @Test
  void theHitsAreThoseOfTheWholeSession() throws InterruptedException {
    assertHitsOfTheWholeSession(1);
  }

  @Tag("proof")
  @ParameterizedTest
  @ValueSource(longs = {2, 3})
  void theHitsAreThoseOfTheWholeSessionWithOtherSeeds(long seed) throws InterruptedException {
    assertHitsOfTheWholeSession(seed);
  }

  private static void assertHitsOfTheWholeSession(long seed) throws InterruptedException {
    Session recorded = RandomSessions.of(seed, SECURITIES, EVENTS);
    Session live = unplayed(recorded);
    Program program =
        new Program(
            SCANS, List.of(Level.standing("AAAAAA", 100_300, LevelKind.BY_HAND, DayTime.of(8, 0))));
    List<Hit> expected = SessionRun.of(recorded, program, Progress.NONE).hits();
    ToldPlayer told = new ToldPlayer();
    LinkedBlockingQueue<Shot> shots = new LinkedBlockingQueue<>();

    try (LivePlayer player =
        new LivePlayer(
            SessionRun.begun(live, program, Progress.NONE),
            new Pieces(recorded, live, seed, EVENTS),
            told,
            System::nanoTime)) {
      player.follow(SHOTS, shots::add);
      player.speed(1);
      Shot last = awaitEvents(shots, recorded.tape().size(), DayTime.LAST - 2 * DayTime.SECOND);

      assertThat(expected).hasSizeGreaterThan(100);
      assertThat(told.hits).isEqualTo(expected);
      assertThat(last.hits()).isEqualTo(expected);
    }
  }

  @Test
  void aWindowThatLooksBackIsToldOfEachHitOnceWhileItsMomentStays() throws InterruptedException {
    Session recorded = RandomSessions.of(6, SECURITIES, EVENTS);
    Session live = unplayed(recorded);
    Program program = new Program(SCANS, List.of());
    List<Hit> expected = SessionRun.of(recorded, program, Progress.NONE).hits();
    int half = EVENTS / 2;
    long back = DayTime.of(9, 0);
    ToldPlayer told = new ToldPlayer();
    LinkedBlockingQueue<Shot> shots = new LinkedBlockingQueue<>();
    Pieces source = new Pieces(recorded, live, 6, half);
    try (LivePlayer player =
        new LivePlayer(
            SessionRun.begun(live, program, Progress.NONE), source, told, System::nanoTime)) {
      player.follow(SHOTS, shots::add);
      awaitEvents(shots, half, 0);
      player.seek(back);
      Shot shown = ToldPlayer.next(shots);
      while (shown.moment() != back) {
        shown = ToldPlayer.next(shots);
      }
      int toldByThen = told.hits.size();
      LinkedBlockingQueue<Hit> later = new LinkedBlockingQueue<>();
      told.onHit = later::add;
      source.until(EVENTS);
      for (int hit = toldByThen; hit < expected.size(); hit++) {
        ToldPlayer.next(later);
      }

      assertThat(toldByThen).isLessThan(expected.size() - 50);
      assertThat(told.hits).isEqualTo(expected);
      assertThat(shots).allMatch(shot -> shot.moment() == back);
      List<Hit> untilThen = expected.stream().filter(hit -> hit.at() <= back).toList();
      assertThat(shown.hits()).isEqualTo(untilThen);
      assertThat(shots).allMatch(shot -> shot.hits().equals(untilThen));
    }
  }

  @Tag("proof")
  @Test
  void aWindowThatLooksBackComesBackToNowWithTheHitsOfANewLevel() throws InterruptedException {
    Session recorded = RandomSessions.of(5, SECURITIES, EVENTS);
    Session live = unplayed(recorded);
    Program program = new Program(SCANS, List.of());
    int half = EVENTS / 2;
    ToldPlayer told = new ToldPlayer();
    LinkedBlockingQueue<Shot> shots = new LinkedBlockingQueue<>();
    try (LivePlayer player =
        new LivePlayer(
            SessionRun.begun(live, program, Progress.NONE),
            new Pieces(recorded, live, 5, half),
            told,
            System::nanoTime)) {
      player.follow(SHOTS, shots::add);
      Shot now = awaitEvents(shots, half, 0);
      long back = DayTime.of(9, 0);
      player.seek(back);
      Shot shown = now;
      while (shown.moment() != back) {
        shown = java.util.Objects.requireNonNull(shots.poll(60, TimeUnit.SECONDS));
      }

      assertThat(shown.hits()).isEqualTo(now.hits().stream().filter(h -> h.at() <= back).toList());
      assertThat(shown.events()).isLessThan(now.events());
      player.play(
          new Program(
              SCANS,
              List.of(
                  Level.standing(
                      "BBBBBB", newestPrice(recorded, 1, half), LevelKind.BY_HAND, back))));
      player.speed(1);
      Shot again = awaitEvents(shots, half, now.moment());
      while (again.hits().stream().noneMatch(h -> h.scan().equals(LevelHits.LEVELS))) {
        again = awaitEvents(shots, half, now.moment());
      }
      assertThat(again.events()).isEqualTo(half);
    }
  }

  @Test
  void aSourceThatThrowsIsToldAndTheNextEventsAreTaken() throws InterruptedException {
    Session recorded = RandomSessions.of(6, SECURITIES, 2_000);
    Session live = unplayed(recorded);
    Pieces pieces = new Pieces(recorded, live, 6, 2_000);
    AtomicBoolean broken = new AtomicBoolean(true);
    LiveSource once =
        new LiveSource() {
          @Override
          public long drain() {
            if (broken.getAndSet(false)) {
              throw new IllegalStateException("the feed brought nonsense");
            }
            return pieces.drain();
          }

          @Override
          public void onArrival(Runnable wake) {
            pieces.onArrival(wake);
          }
        };
    ToldPlayer told = new ToldPlayer();
    LinkedBlockingQueue<Shot> shots = new LinkedBlockingQueue<>();
    try (LivePlayer player =
        new LivePlayer(
            SessionRun.begun(live, new Program(SCANS, List.of()), Progress.NONE),
            once,
            told,
            System::nanoTime)) {
      player.follow(SHOTS, shots::add);
      assertThat(awaitEvents(shots, 2_000, 0).events()).isEqualTo(2_000);
    }
    assertThat(told.troubles)
        .singleElement()
        .asString()
        .contains("taking what the feed has brought")
        .contains("nonsense");
  }

  /** Events are taken while another scan is replayed from the day's start. */
  @Test
  void anotherScanIsReplayedApartAndHasTheHitsOfAWholeRun() throws InterruptedException {
    Session recorded = RandomSessions.of(8, SECURITIES, 40_000);
    Session live = unplayed(recorded);
    ToldPlayer told = new ToldPlayer();
    LinkedBlockingQueue<Shot> shots = new LinkedBlockingQueue<>();
    Program last = new Program(SCANS.subList(0, 2), List.of());
    try (LivePlayer player =
        new LivePlayer(
            SessionRun.begun(live, new Program(SCANS.subList(2, 3), List.of()), Progress.NONE),
            new Pieces(recorded, live, 8, 40_000),
            told,
            System::nanoTime)) {
      player.follow(SHOTS, shots::add);
      awaitEvents(shots, 1, 0);
      player.play(new Program(SCANS.subList(0, 1), List.of()));
      player.play(last);

      List<Hit> expected = SessionRun.of(recorded, last, Progress.NONE).hits();
      Shot shot = awaitEvents(shots, 40_000, DayTime.LAST - 2 * DayTime.SECOND);
      while (!shot.hits().equals(expected)) {
        shot = ToldPlayer.next(shots);
      }
    }
    assertThat(told.troubles).isEmpty();
  }
}
