package kelvo.state;

import kelvo.tape.EventTape;
import kelvo.tape.HaltReason;
import kelvo.tape.Price;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;

/**
 * Whether one security trades, and its halts so far. A new listing that has not begun to trade is
 * not halted. Owned by one thread.
 */
public final class StatusSoFar {
  private static final long PAUSE = 5 * DayTime.MINUTE;

  /** A pause that is told again so shortly before its end goes on for as long again. */
  private static final long EXTENDED_BEFORE_END = DayTime.MINUTE;

  private TradingState state = TradingState.TRADING;
  private long since;
  private boolean halted;
  private long haltedAt;
  private long pauseEnds;
  private int halts;
  private String haltReason = "";
  private long haltPrice = Price.NONE;
  private long priceBeforeHalt = Price.NONE;

  /** Takes a status event; returns the {@link Effect} of it. */
  int take(EventTape tape, int event) {
    long at = tape.time(event);
    String reason = tape.reason(event);
    TradingState before = state;
    state = tape.state(event);
    since = state == before ? since : at;
    if (state == TradingState.TRADING) {
      boolean resumes = halted;
      halted = false;
      return resumes ? Effect.RESUMED : 0;
    }
    if (halted) {
      goOn(at, reason);
      return 0;
    }
    if (HaltReason.isOffering(reason) || (before != TradingState.TRADING && reason.isEmpty())) {
      return 0;
    }
    halted = true;
    haltedAt = at;
    pauseEnds = at + PAUSE;
    haltReason = reason;
    halts++;
    return Effect.HALTED;
  }

  /** Notes the price at which a halt came, and the one five minutes before it. */
  void haltedAt(long price, long fiveMinutesBefore) {
    haltPrice = price;
    priceBeforeHalt = fiveMinutesBefore;
  }

  /** A further message during a halt: another reason, or a pause that is extended. */
  private void goOn(long at, String reason) {
    if (reason.isEmpty() || state != TradingState.HALTED) {
      return;
    }
    if (!reason.equals(haltReason)) {
      haltReason = reason;
      pauseEnds = at + PAUSE;
    } else if (at >= pauseEnds - EXTENDED_BEFORE_END) {
      pauseEnds = Math.max(at, pauseEnds) + PAUSE;
    }
  }

  void copyFrom(StatusSoFar other) {
    state = other.state;
    since = other.since;
    halted = other.halted;
    haltedAt = other.haltedAt;
    pauseEnds = other.pauseEnds;
    halts = other.halts;
    haltReason = other.haltReason;
    haltPrice = other.haltPrice;
    priceBeforeHalt = other.priceBeforeHalt;
  }

  /** Whether it trades, as told last. */
  public TradingState state() {
    return state;
  }

  /** Since when it is in that state, {@link DayTime}. */
  public long since() {
    return since;
  }

  /** Whether trading has stopped and not begun again. */
  public boolean isHalted() {
    return halted;
  }

  /** When the newest halt began, {@link DayTime}; 0 without one. */
  public long haltedAt() {
    return haltedAt;
  }

  /**
   * When the volatility pause that it is in ends, extensions included; Long.MAX_VALUE when it is in
   * none.
   */
  public long pauseEnds() {
    return halted && HaltReason.isPause(haltReason) ? pauseEnds : Long.MAX_VALUE;
  }

  /** How often it was halted today. */
  public int halts() {
    return halts;
  }

  /** The newest reason of the newest halt, as the exchange gave it; empty without one. */
  public String haltReason() {
    return haltReason;
  }

  /** The price at the newest halt; {@link Price#NONE} without one. */
  public long haltPrice() {
    return haltPrice;
  }

  /**
   * 1 when the price had risen in the five minutes before the newest halt, -1 when it had fallen; 0
   * when neither is known.
   */
  public int haltDirection() {
    return haltPrice == Price.NONE || priceBeforeHalt == Price.NONE
        ? 0
        : Long.compare(haltPrice, priceBeforeHalt);
  }
}
