package kelvo.trigger;

import kelvo.state.SymbolState;

/**
 * A detector that the clock alone may make fire, since what it holds a security against changes
 * with the time of day.
 */
public interface TimedDetector extends Detector {
  /**
   * When it wants to look at a security next, unless an event comes before; Long.MAX_VALUE for
   * never. Asked after each look.
   */
  long nextLook(SymbolState state, long now);

  /** Looks at a security at a whole second, without an event, and tells whether it fires. */
  boolean firesByTime(SymbolState state, long now);
}
