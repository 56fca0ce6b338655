package kelvo.hit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import kelvo.replay.TapeListener;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.scan.ScanCheck;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.state.CorrectionListener;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.time.DayTime;
import kelvo.trigger.Detector;
import kelvo.trigger.OnceDetector;
import kelvo.trigger.Trigger;
import kelvo.universe.Universe;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;

/**
 * Whatever detectors the engine lets rest, begin late and end early, its triggers fire as they do
 * for one that asks every detector about every security after each of its events.
 */
class TriggerProperties {
  private static final int SECURITIES = 5;

  private static final List<Scan> SCANS =
      List.of(
          scan("lines", "09:31", "11:00", "rises through previous close", "falls through 10.02"),
          scan("all day", "04:00", "20:00", "falls through previous close", "base break"),
          scan(
              "ranges",
              "09:31",
              "12:00",
              "rises through opening range high 1m",
              "rises through opening range high 15m",
              "falls through opening range low 5m",
              "falls through opening range high 5m",
              "rises through opening range low 5m"),
          scan("climbs", "05:00", "16:00", "stair step 1", "base break", "rises through ema 9"),
          scan(
              "opens",
              "09:30",
              "10:30",
              "first dip 0.1% after gap 0.1% regaining 50%",
              "first dip 0.2% after gap 0.2% regaining 20%",
              "opening gap up 0.1%",
              "range ratio past 0.5x"),
          scan("moves", "12:00", "14:00", "up 0.2% in 5m", "down 0.3% in 2m"),
          scan("late moves", "16:00", "20:00", "up 0.2% in 5m", "new high of 20d"));

  private static Scan scan(String name, String from, String to, String... triggers) {
    return new Scan(
        name,
        "",
        Universe.EVERYONE,
        DayTime.parse(from),
        DayTime.parse(to),
        TestSessions.scan("rules", List.of(), "trades at least 3").rules(),
        List.of(),
        Arrays.stream(triggers).flatMap(words -> Trigger.parse(words).stream()).toList(),
        Scan.DEFAULT_FOLD,
        Side.BOTH,
        50,
        List.of(),
        List.of());
  }

  private record Firing(long at, String scan, int security, Trigger trigger) {}

  @Tag("proof")
  @Property(tries = 12)
  void firesAsIfEveryDetectorWereAskedAtEveryEventAtLength(@ForAll long seed) {
    firesAsIfEveryDetectorWereAskedAtEveryEvent(seed);
  }

  @Property(tries = 2)
  void firesAsIfEveryDetectorWereAskedAtEveryEvent(@ForAll long seed) {
    assertSameFirings(RandomSessions.of(seed, SECURITIES, 40_000));
  }

  @Tag("proof")
  @Property(tries = 12)
  void firesTheSameAmongEventsThatComeLateAtLength(@ForAll long seed) {
    firesTheSameAmongEventsThatComeLate(seed);
  }

  @Property(tries = 2)
  void firesTheSameAmongEventsThatComeLate(@ForAll long seed) {
    assertSameFirings(RandomSessions.withLateEvents(seed, SECURITIES, 30_000));
  }

  /** Found by chance: movers that begin among late events. */
  @Example
  void moversThatBeginAmongLateEventsStandWhereTheyWouldHaveStood() {
    assertSameFirings(RandomSessions.withLateEvents(-89, SECURITIES, 30_000));
  }

  private static void assertSameFirings(Session session) {
    List<Firing> found = new ArrayList<>();
    ScanEngine.replay(
            session,
            new Program(SCANS, List.of()),
            hit -> found.add(new Firing(hit.at(), hit.scan(), hit.security(), hit.trigger())))
        .runTo(DayTime.LAST);

    TapeReplay replay = new TapeReplay(session);
    AskEverything naive = new AskEverything(replay);
    replay.listen(naive);
    replay.runTo(DayTime.LAST);

    assertThat(found).hasSizeGreaterThan(20).isEqualTo(naive.firings);
  }

  /** The definition, written down as plainly as it can be. */
  private static final class AskEverything implements TapeListener, CorrectionListener {
    private final TapeReplay replay;
    private final List<ScanCheck> checks;
    private final List<Trigger> triggers;
    private final List<Detector> detectors;

    /** By trigger and security, the scans that have had no hit of an occasion yet. */
    private final List<List<Set<ScanCheck>>> open = new ArrayList<>();

    private final Set<Detector> came = new HashSet<>();
    private final List<Firing> firings = new ArrayList<>();

    AskEverything(TapeReplay replay) {
      this.replay = replay;
      checks = SCANS.stream().map(s -> new ScanCheck(s, replay.session())).toList();
      triggers = SCANS.stream().flatMap(s -> s.triggers().stream()).distinct().toList();
      detectors =
          triggers.stream()
              .map(t -> Objects.requireNonNull(t.detector()).watch(replay.session()))
              .toList();
      for (int i = 0; i < triggers.size(); i++) {
        List<Set<ScanCheck>> bySecurity = new ArrayList<>();
        for (int security = 0; security < SECURITIES; security++) {
          bySecurity.add(new HashSet<>());
        }
        open.add(bySecurity);
      }
      replay.market().hearCorrections(this);
    }

    @Override
    public void applied(SymbolState state, int effects, int event, long now) {
      if ((effects & Effect.CORRECTED) != 0) {
        for (int i = 0; i < detectors.size(); i++) {
          if (!came.contains(detectors.get(i))) {
            open.get(i).get(state.id()).clear();
          }
        }
        return;
      }
      for (int i = 0; i < detectors.size(); i++) {
        Detector detector = detectors.get(i);
        if ((detector.listensTo() & effects) == 0 || !detector.fires(state, event, now)) {
          continue;
        }
        Trigger trigger = triggers.get(i);
        List<ScanCheck> waiting =
            checks.stream().filter(c -> c.scan().triggers().contains(trigger)).toList();
        if (detector instanceof OnceDetector) {
          open.get(i).get(state.id()).addAll(waiting);
        } else {
          waiting.forEach(check -> fire(check, trigger, state, now));
        }
      }
      tellOccasions(state, now);
    }

    private void tellOccasions(SymbolState state, long now) {
      for (int i = 0; i < detectors.size(); i++) {
        Trigger trigger = triggers.get(i);
        if (detectors.get(i) instanceof OnceDetector once && once.holds(state, now)) {
          Set<ScanCheck> waiting = open.get(i).get(state.id());
          checks.stream()
              .filter(waiting::contains)
              .filter(check -> fire(check, trigger, state, now))
              .toList()
              .forEach(waiting::remove);
        }
      }
    }

    private boolean fire(ScanCheck check, Trigger trigger, SymbolState state, long now) {
      int phase = replay.session().phases().indexAt(now);
      if (!check.scan().open(now) || !check.holds(state, now, phase)) {
        return false;
      }
      firings.add(new Firing(now, check.scan().name(), state.id(), trigger));
      return true;
    }

    @Override
    public void second(long moment) {
      if (moment % DayTime.MINUTE == 0) {
        replay.states().forEach(state -> tellOccasions(state, moment));
      }
    }

    @Override
    public void begins(int security) {
      came.clear();
      detectors.forEach(detector -> detector.forget(security));
    }

    private record Remembered(Set<Detector> came, List<long[]> byDetector) {}

    @Override
    public void goesOn(int security, Object remembered) {
      Remembered known = (Remembered) remembered;
      came.clear();
      came.addAll(known.came());
      for (int i = 0; i < detectors.size(); i++) {
        detectors.get(i).restore(security, known.byDetector().get(i));
      }
    }

    @Override
    public Object remembered(int security) {
      return new Remembered(
          new HashSet<>(came), detectors.stream().map(one -> one.remembered(security)).toList());
    }

    @Override
    public void after(SymbolState then, int effect, int place) {
      long at = replay.session().tape().time(place);
      for (Detector detector : detectors) {
        if ((detector.listensTo() & effect) != 0 && detector.fires(then, place, at)) {
          came.add(detector);
        }
      }
    }
  }
}
