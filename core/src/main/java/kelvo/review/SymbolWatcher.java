package kelvo.review;

import kelvo.replay.TapeListener;
import kelvo.state.SymbolState;

/** Looks at one symbol while a session is played. */
interface SymbolWatcher extends TapeListener {
  /** The symbol's state, which the play carries on. */
  void look(SymbolState state);
}
