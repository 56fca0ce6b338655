package kelvo.tape;

import java.util.Locale;
import kelvo.refusal.RefusedException;

/** Whether a security trades: the states of a status event. */
public enum TradingState {
  HALTED,
  QUOTING,
  TRADING;

  /** The word in data folders and on screen. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /**
   * The state of a word.
   *
   * @throws RefusedException when there is none of that name
   */
  public static TradingState of(String word) {
    for (TradingState state : values()) {
      if (state.word().equals(word)) {
        return state;
      }
    }
    throw new RefusedException("expected halted, quoting or trading, found \"" + word + "\"");
  }
}
