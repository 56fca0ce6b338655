package kelvo.state;

import kelvo.tape.EventTape;
import kelvo.tape.TradingState;

/** Whether one security trades, and its halts so far. Owned by one thread. */
public final class StatusSoFar {
  private TradingState state = TradingState.TRADING;
  private long since;
  private int halts;
  private String haltReason = "";

  /** Takes a status event; returns the {@link Effect} of it. */
  int take(EventTape tape, int event) {
    TradingState before = state;
    state = tape.state(event);
    if (state == before) {
      return 0;
    }
    since = tape.time(event);
    if (before == TradingState.TRADING) {
      halts++;
      haltReason = tape.reason(event);
      return Effect.HALTED;
    }
    return state == TradingState.TRADING ? Effect.RESUMED : 0;
  }

  void copyFrom(StatusSoFar other) {
    state = other.state;
    since = other.since;
    halts = other.halts;
    haltReason = other.haltReason;
  }

  /** Whether it trades. */
  public TradingState state() {
    return state;
  }

  /** Since when it is in that state, {@link kelvo.time.DayTime}. */
  public long since() {
    return since;
  }

  /** How often it was halted today. */
  public int halts() {
    return halts;
  }

  /** The reason of the newest halt, as the exchange gave it; empty without one. */
  public String haltReason() {
    return haltReason;
  }
}
