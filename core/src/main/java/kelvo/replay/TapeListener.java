package kelvo.replay;

import kelvo.state.SymbolState;

/**
 * Hears what a replay does, event by event, on the replay's thread: the scan engine is one
 * listener, why-not, levels and recorded moments are others.
 *
 * <p>A listener that throws ends the call of {@link TapeReplay} that made it hear; the event itself
 * has been applied by then.
 */
public interface TapeListener {
  /**
   * An event has been applied.
   *
   * @param state its security's state, the event included
   * @param effects what it did, {@link kelvo.state.Effect} bits
   * @param event its place on the tape
   * @param now the clock, {@link kelvo.time.DayTime}
   */
  void applied(SymbolState state, int effects, int event, long now);

  /** A whole second begins, before any event of it; from 04:00 on, none left out. */
  void second(long moment);

  /** Two listeners as one; the first hears first. */
  static TapeListener both(TapeListener first, TapeListener then) {
    return new TapeListener() {
      @Override
      public void applied(SymbolState state, int effects, int event, long now) {
        first.applied(state, effects, event, now);
        then.applied(state, effects, event, now);
      }

      @Override
      public void second(long moment) {
        first.second(moment);
        then.second(moment);
      }
    };
  }
}
