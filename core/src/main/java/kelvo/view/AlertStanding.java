package kelvo.view;

import kelvo.alert.Alert;

/**
 * How an alert stands at a moment.
 *
 * @param alert itself
 * @param state whether it may ring
 * @param distance how far it is to go, in words; empty when that cannot be said
 * @param rings how often it has rung today
 * @param lastAt when it last rang, {@link kelvo.time.DayTime}; -1 when it has not
 * @param after mean change of price 1, 5 and 15 minutes after its rings of today, per cent; NaN
 *     while unknown
 */
public record AlertStanding(
    Alert alert, State state, String distance, int rings, long lastAt, Aftermath after) {
  /** Whether an alert may ring. */
  public enum State {
    ARMED("armed"),
    SNOOZED("snoozed"),
    OFF("off"),
    SPENT("spent"),
    OVER("over"),
    NOBODY("waits for nobody");

    private final String words;

    State(String words) {
      this.words = words;
    }

    /** It in words. */
    public String words() {
      return words;
    }
  }
}
