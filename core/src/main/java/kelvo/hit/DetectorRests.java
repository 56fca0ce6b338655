package kelvo.hit;

import kelvo.state.SymbolState;
import kelvo.tape.EventTape;
import kelvo.trigger.Rest;

/**
 * By security, the prices at which each detector rests, at which all of them do, and when its last
 * eligible print came. Most prints are passed by with one look at where all rest; the others ask
 * those detectors alone that do not. Owned by one thread; does not allocate when asked.
 */
final class DetectorRests {
  private static final int LOW = 0;
  private static final int HIGH = 1;
  private static final int UNTIL = 2;

  /** How many detectors rest at no price, and are asked at each. */
  private static final int RESTLESS = 3;

  private static final int ALL_BITS = 2;

  private static final int ROW = 3;

  private final EventTape tape;
  private final int securities;

  /** By security, where all detectors rest, and how many do not. */
  private final long[] all;

  private final int detectors;

  /** By security and detector, lowest and highest price and last moment of its own rest. */
  private final long[] each;

  private final long[] eligibleAt;
  private final Rest together = new Rest();
  private int restless;
  private long knownLateness;

  /**
   * No rests yet.
   *
   * @param detectors how many may rest
   */
  DetectorRests(int securities, EventTape tape, int detectors) {
    this.tape = tape;
    this.detectors = detectors;
    this.securities = securities;
    all = new long[securities << ALL_BITS];
    each = new long[detectors * ROW * securities];
    eligibleAt = new long[securities];
    knownLateness = tape.mostLateness();
    endAll();
  }

  /** Ends all rests of a security. */
  void end(int security) {
    for (int detector = 0; detector < detectors; detector++) {
      put(security, detector, Long.MAX_VALUE, Long.MIN_VALUE, Long.MIN_VALUE);
    }
    all[(security << ALL_BITS) + LOW] = Long.MAX_VALUE;
    all[(security << ALL_BITS) + HIGH] = Long.MIN_VALUE;
  }

  private void endAll() {
    for (int security = 0; security < securities; security++) {
      end(security);
    }
  }

  /** Whether all of a security's detectors rest at its price. */
  boolean allRest(SymbolState state, long now) {
    if (tape.mostLateness() != knownLateness) {
      knownLateness = tape.mostLateness();
      endAll();
    }
    int row = state.id() << ALL_BITS;
    long price = state.lastPrice();
    return price >= all[row + LOW]
        && price <= all[row + HIGH]
        && now <= all[row + UNTIL]
        && all[row + RESTLESS] == 0;
  }

  /** Whether one of them does. */
  boolean rests(int security, int detector, long price, long now) {
    int row = row(security, detector);
    return price >= each[row] && price <= each[row + 1] && now <= each[row + 2];
  }

  /** One of a security's detectors rests anew. */
  void take(int security, int detector, Rest rest) {
    put(security, detector, rest.low(), rest.high(), rest.until());
  }

  private void put(int security, int detector, long low, long high, long until) {
    int row = row(security, detector);
    each[row] = low;
    each[row + 1] = high;
    each[row + 2] = until;
  }

  private int row(int security, int detector) {
    return (security * detectors + detector) * ROW;
  }

  /** Begins to find where all of a security's detectors rest: at every price, while it has none. */
  void beginTogether() {
    together.begin();
    restless = 0;
  }

  /** Takes one of the security's detectors into account. */
  void add(int security, int detector) {
    int row = row(security, detector);
    if (each[row] > each[row + 1]) {
      restless++;
    } else {
      together.within(each[row], each[row + 1]);
      together.until(each[row + 2]);
    }
  }

  /** Ends to find where all of them rest. */
  void endTogether(int security) {
    all[(security << ALL_BITS) + LOW] = together.low();
    all[(security << ALL_BITS) + HIGH] = together.high();
    all[(security << ALL_BITS) + UNTIL] = together.until();
    all[(security << ALL_BITS) + RESTLESS] = restless;
  }

  /** When the last eligible print came that any detector could hear of; 0 before the first. */
  long eligibleAt(int security) {
    return eligibleAt[security];
  }

  /** Notes when an eligible print came, or that the last one is another after a correction. */
  void eligibleAt(int security, long moment) {
    eligibleAt[security] = moment;
  }
}
