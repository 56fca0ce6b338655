package kelvo.hit;

import java.util.List;
import java.util.Objects;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.trigger.Detector;
import kelvo.trigger.Trigger;

/**
 * The triggers that some scan waits for: those that an event fires by itself, and those that a
 * detector watches for. Each is watched once, however many scans wait for it.
 */
final class TriggerWatch {
  private final ScanBoard board;
  private final Trigger[] plain;
  private final int[] plainEffects;
  private final Trigger[] watched;
  private final Detector[] detectors;
  private final long[] plainScans;
  private final long[] watchedScans;
  private final int effects;

  /** Hears of a trigger that has fired, and of the scans that wait for it. */
  interface Fired {
    void fired(SymbolState state, Trigger trigger, long scans, long now);
  }

  TriggerWatch(List<Scan> scans, ScanBoard board, Session session) {
    this.board = board;
    List<Trigger> distinct = scans.stream().flatMap(s -> s.triggers().stream()).distinct().toList();
    plain = distinct.stream().filter(t -> t.effect() != 0).toArray(Trigger[]::new);
    watched = distinct.stream().filter(t -> t.detector() != null).toArray(Trigger[]::new);
    detectors = new Detector[watched.length];
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
      all |= detectors[i].listensTo();
    }
    effects = watched.length == 0 ? all : all | Effect.CORRECTED;
  }

  /** The effects that concern any trigger, as bits. */
  int effects() {
    return effects;
  }

  /** Looks at a security after an event that concerns some trigger. */
  void after(SymbolState state, int effect, int event, long now, Fired fired) {
    if ((effect & Effect.CORRECTED) != 0) {
      playAgain(state, event);
      return;
    }
    for (int i = 0; i < plain.length; i++) {
      if ((plainEffects[i] & effect) != 0) {
        fired.fired(state, plain[i], plainScans[i], now);
      }
    }
    for (int i = 0; i < watched.length; i++) {
      if ((detectors[i].listensTo() & effect) != 0
          && board.couldFit(state.id(), watchedScans[i])
          && detectors[i].fires(state, event, now)) {
        fired.fired(state, watched[i], watchedScans[i], now);
      }
    }
  }

  /** Lets the detectors see a security's events once more, as they stand corrected. */
  private void playAgain(SymbolState state, int event) {
    for (Detector detector : detectors) {
      detector.forget(state.id());
    }
    if (detectors.length > 0) {
      state.replayed(
          event,
          (then, effect, place) -> {
            long at = then.market().session().tape().time(place);
            for (Detector detector : detectors) {
              if ((detector.listensTo() & effect) != 0) {
                detector.fires(then, place, at);
              }
            }
          });
    }
  }
}
