package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.SymbolState;

/**
 * Watches every security of a session for one kind of event, with a little memory of its own for
 * each. Owned by the engine's thread; does not allocate when asked.
 */
public interface Detector {
  /** The {@link kelvo.state.Effect} bits after which it must be asked. */
  int listensTo();

  /**
   * Looks at a security after an event.
   *
   * @param state the security's state, the event included
   * @param event the event's place on the tape
   * @return whether it fires
   */
  boolean fires(SymbolState state, int event, long now);

  /** Forgets one security, before its events are played again. */
  void forget(int security);

  /** What it remembers of one security, so that it can go on from there another time. */
  long[] remembered(int security);

  /** Goes on with one security from what it remembered of it. */
  void restore(int security, long[] remembered);

  /** Makes the detector of a session. */
  @FunctionalInterface
  interface Maker {
    Detector watch(Session session);
  }
}
