package kelvo.hit;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.state.CorrectionListener;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.time.DayTime;
import kelvo.trigger.Detector;
import kelvo.trigger.LateDetector;
import kelvo.trigger.OnceDetector;
import kelvo.trigger.Rest;
import kelvo.trigger.RestingDetector;
import kelvo.trigger.TimedDetector;
import kelvo.trigger.Trigger;

/**
 * The triggers that some scan waits for: those that an event fires by itself, and those that a
 * detector watches for. Each is watched once, however many scans wait for it.
 */
final class TriggerWatch implements CorrectionListener {
  private final SymbolState[] states;
  private final Trigger[] plain;
  private final int[] plainEffects;
  private final Trigger[] watched;
  private final Detector[] detectors;

  /** Which detectors have fired since a security was begun to be played again. */
  private final boolean[] came;

  private final long[] plainScans;
  private final long[] watchedScans;
  private final AwakeDetectors awake;
  private final DetectorRests rests;
  private final Rest rest = new Rest();
  private final Occasions occasions;
  private final int[] timed;
  private final ExpiryWheel wheel;
  private final int effects;
  private final int plainEffect;

  /** Hears of a trigger that has fired, and of the scans that wait for it. */
  interface Fired {
    /** Tells which of the scans had a hit of it. */
    long fired(SymbolState state, Trigger trigger, long scans, long now);
  }

  /** Detectors before the first event; {@code states} are those that the replay changes. */
  TriggerWatch(List<Scan> scans, ScanBoard board, Session session, SymbolState[] states) {
    this.states = states;
    List<Trigger> distinct = scans.stream().flatMap(s -> s.triggers().stream()).distinct().toList();
    plain = distinct.stream().filter(t -> t.effect() != 0).toArray(Trigger[]::new);
    watched = distinct.stream().filter(t -> t.detector() != null).toArray(Trigger[]::new);
    detectors = new Detector[watched.length];
    came = new boolean[watched.length];
    plainScans = new long[plain.length];
    plainEffects = new int[plain.length];
    watchedScans = new long[watched.length];
    int all = 0;
    for (int i = 0; i < plain.length; i++) {
      plainScans[i] = board.listening(plain[i]);
      plainEffects[i] = plain[i].effect();
      all |= plainEffects[i];
    }
    for (int i = 0; i < watched.length; i++) {
      detectors[i] = Objects.requireNonNull(watched[i].detector()).watch(session);
      watchedScans[i] = board.listening(watched[i]);
    }
    plainEffect = all;
    awake = new AwakeDetectors(watched, detectors, scans, board, states.length);
    rests = new DetectorRests(states.length, session.tape(), awake.mayRest());
    all |= awake.effects();
    effects = watched.length == 0 ? all : all | Effect.CORRECTED;
    timed =
        IntStream.range(0, detectors.length)
            .filter(i -> detectors[i] instanceof TimedDetector)
            .toArray();
    wheel = new ExpiryWheel(timed.length == 0 ? 0 : states.length);
    occasions = new Occasions(detectors, states.length);
  }

  /** The effects that concern any trigger, as bits. */
  int effects() {
    return effects;
  }

  /** Whether some scan still waits for its hit of an occasion, which any event may bring. */
  boolean areOpen(int security) {
    return occasions.areOpen() && occasions.areOpen(security);
  }

  /** Looks at a security after an event that concerns some trigger, or while any is open to it. */
  void after(SymbolState state, int effect, int event, long now, Fired fired) {
    if ((effect & Effect.CORRECTED) != 0) {
      playedAgain(state, now);
      return;
    }
    if ((effect & plainEffect) != 0) {
      for (int i = 0; i < plain.length; i++) {
        if ((plainEffects[i] & effect) != 0) {
          fired.fired(state, plain[i], plainScans[i], now);
        }
      }
    }
    if ((effect & awake.effects()) != 0) {
      askDetectors(state, effect, event, now, fired);
    }
    if (areOpen(state.id())) {
      tellOccasions(state, now, fired);
    }
    if (timed.length > 0) {
      scheduleLook(state, now);
    }
  }

  private void askDetectors(SymbolState state, int effect, int event, long now, Fired fired) {
    int id = state.id();
    boolean isEligible = (effect & Effect.ELIGIBLE) != 0;
    boolean endsRest = (effect & awake.endingRest()) != 0;
    if (isEligible && awake.someAreLate()) {
      rests.eligibleAt(id, now);
    }
    boolean allRest = isEligible && !endsRest && rests.allRest(state, now);
    if (allRest && awake.allMayRest(effect)) {
      return;
    }
    if (endsRest) {
      rests.end(id);
    }
    rests.beginTogether();
    for (int word = 0; word < awake.words(); word++) {
      long asked = awake.listening(id, effect, word) & (allRest ? ~awake.resting(word) : -1L);
      for (long left = asked; left != 0; left &= left - 1) {
        int detector = word * Long.SIZE + Long.numberOfTrailingZeros(left);
        if (isEligible && awake.restingPlace(detector) >= 0) {
          askUnlessItRests(detector, state, event, now, fired);
        } else {
          ask(detector, state, event, now, fired);
        }
      }
    }
    if (isEligible && !allRest) {
      rests.endTogether(id);
    }
  }

  private void askUnlessItRests(int detector, SymbolState state, int event, long now, Fired fired) {
    int place = awake.restingPlace(detector);
    if (!rests.rests(state.id(), place, state.lastPrice(), now)) {
      ask(detector, state, event, now, fired);
      rest.begin();
      ((RestingDetector) detectors[detector]).rest(state, now, rest);
      rests.take(state.id(), place, rest);
    }
    rests.add(state.id(), place);
  }

  private void ask(int detector, SymbolState state, int event, long now, Fired fired) {
    if (!detectors[detector].fires(state, event, now)) {
      return;
    }
    if (detectors[detector] instanceof OnceDetector) {
      occasions.come(detector, state.id(), watchedScans[detector]);
    } else {
      fired.fired(state, watched[detector], watchedScans[detector], now);
    }
  }

  /** Lets detectors begin and end with the windows of their scans. */
  private void openAt(long moment) {
    for (int i = 0; i < detectors.length; i++) {
      if (!awake.changes(i, moment)) {
        continue;
      }
      for (SymbolState state : states) {
        if (awake.isAwake(i)) {
          occasions.had(i, state.id(), -1L);
        } else if (detectors[i] instanceof LateDetector late
            && rests.eligibleAt(state.id()) >= DayTime.FIRST) {
          late.begin(state, rests.eligibleAt(state.id()));
        }
      }
    }
    awake.openAt(moment);
  }

  /** What time alone may make fire; before any event of the second. */
  void second(long moment, Fired fired) {
    if (moment % DayTime.MINUTE == 0) {
      openAt(moment);
    }
    int second = (int) (moment / DayTime.SECOND);
    for (int id = wheel.poll(second); id >= 0; id = wheel.poll(second)) {
      for (int i : timed) {
        if (awake.isAsked(i, id)
            && ((TimedDetector) detectors[i]).firesByTime(states[id], moment)) {
          fired.fired(states[id], watched[i], watchedScans[i], moment);
        }
      }
      scheduleLook(states[id], moment);
    }
    if (moment % DayTime.MINUTE == 0 && occasions.areOpen()) {
      for (SymbolState state : states) {
        if (occasions.areOpen(state.id())) {
          tellOccasions(state, moment, fired);
        }
      }
    }
  }

  /** Tells the scans that have had no hit of an occasion yet, as far as it still holds. */
  private void tellOccasions(SymbolState state, long now, Fired fired) {
    for (int i = 0; i < watched.length; i++) {
      long open = occasions.openTo(i, state.id());
      if (open != 0 && ((OnceDetector) detectors[i]).holds(state, now)) {
        occasions.had(i, state.id(), fired.fired(state, watched[i], open, now));
      }
    }
  }

  private void scheduleLook(SymbolState state, long now) {
    for (int i : timed) {
      long next =
          awake.isAsked(i, state.id())
              ? ((TimedDetector) detectors[i]).nextLook(state, now)
              : Long.MAX_VALUE;
      if (next != Long.MAX_VALUE) {
        long second = (next + DayTime.SECOND - 1) / DayTime.SECOND;
        wheel.schedule(state.id(), (int) Math.max(second, now / DayTime.SECOND + 1));
      }
    }
  }

  private record Remembered(boolean[] came, long[][] byDetector) {}

  @Override
  public void begins(int security) {
    Arrays.fill(came, false);
    for (Detector detector : detectors) {
      detector.forget(security);
    }
  }

  @Override
  public void goesOn(int security, Object remembered) {
    Remembered known = (Remembered) remembered;
    System.arraycopy(known.came(), 0, came, 0, came.length);
    for (int i = 0; i < detectors.length; i++) {
      detectors[i].restore(security, known.byDetector()[i]);
    }
  }

  @Override
  public Object remembered(int security) {
    return new Remembered(
        came.clone(),
        Arrays.stream(detectors).map(one -> one.remembered(security)).toArray(long[][]::new));
  }

  /** Lets the detectors see a security's events once more, as they stand corrected. */
  @Override
  public void after(SymbolState then, int effect, int place) {
    long at = then.market().session().tape().time(place);
    for (int i = 0; i < detectors.length; i++) {
      came[i] |= (detectors[i].listensTo() & effect) != 0 && detectors[i].fires(then, place, at);
    }
  }

  /** The detectors have seen all events of a security as they stand corrected. */
  private void playedAgain(SymbolState state, long now) {
    if (detectors.length == 0) {
      return;
    }
    rests.end(state.id());
    rests.eligibleAt(state.id(), state.lastPriceAt());
    occasions.keepOnly(came, state.id());
    for (int i : timed) {
      ((TimedDetector) detectors[i]).firesByTime(state, now);
    }
    scheduleLook(state, now);
  }
}
