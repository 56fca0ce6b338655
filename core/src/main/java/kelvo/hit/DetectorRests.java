package kelvo.hit;

import kelvo.state.SymbolState;
import kelvo.tape.EventTape;
import kelvo.trigger.Rest;

/**
 * By security, the prices at which no resting detector needs to be asked, and when its last
 * eligible print came: what is looked at event by event lies side by side in memory. Owned by one
 * thread; does not allocate when asked.
 */
final class DetectorRests {
  private static final int LOW = SecurityRows.OF_DETECTORS;
  private static final int HIGH = LOW + 1;
  private static final int UNTIL = LOW + 2;
  private static final int ELIGIBLE_AT = LOW + 3;

  private final EventTape tape;
  private final SecurityRows rows;
  private long knownLateness;

  DetectorRests(SecurityRows rows, EventTape tape) {
    this.tape = tape;
    this.rows = rows;
    knownLateness = tape.mostLateness();
    endAll();
  }

  /** Ends the rest of a security, as nothing is known of its prices any more. */
  void end(int security) {
    rows.set(security, LOW, Long.MAX_VALUE);
    rows.set(security, HIGH, Long.MIN_VALUE);
  }

  private void endAll() {
    for (int security = 0; security < rows.securities(); security++) {
      end(security);
    }
  }

  /** Notes an eligible print, and tells whether all rest at its price. */
  boolean rest(SymbolState state, long now) {
    if (tape.mostLateness() != knownLateness) {
      knownLateness = tape.mostLateness();
      endAll();
    }
    int id = state.id();
    rows.set(id, ELIGIBLE_AT, now);
    long price = state.lastPrice();
    return price >= rows.get(id, LOW) && price <= rows.get(id, HIGH) && now <= rows.get(id, UNTIL);
  }

  /** Takes the prices at which all detectors that were asked about a security rest from now on. */
  void begin(int security, Rest rest) {
    rows.set(security, LOW, rest.low());
    rows.set(security, HIGH, rest.high());
    rows.set(security, UNTIL, rest.until());
  }

  /** When the last eligible print came that any detector could hear of; 0 before the first. */
  long eligibleAt(int security) {
    return rows.get(security, ELIGIBLE_AT);
  }

  /** The last eligible print may be another, after a correction. */
  void eligibleAt(int security, long moment) {
    rows.set(security, ELIGIBLE_AT, moment);
  }
}
