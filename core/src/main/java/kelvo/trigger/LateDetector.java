package kelvo.trigger;

import kelvo.state.SymbolState;

/**
 * A detector that can begin at any moment of a session, since all that it must know of the time
 * before is on the tape. It need not be asked until a scan that waits for it is open.
 */
public interface LateDetector extends Detector {
  /**
   * Begins with a security as if it had been asked all along.
   *
   * @param at when its last eligible print came, {@link kelvo.time.DayTime}
   */
  void begin(SymbolState state, long at);
}
