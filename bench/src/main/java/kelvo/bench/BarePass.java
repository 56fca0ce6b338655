package kelvo.bench;

import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.TapeRules;
import kelvo.time.SessionHours;

/**
 * The least that any scanner must do: walks a tape and updates 14 fields, an array a field, with
 * the tape's rules. No derived fields, no sliding windows, no scans, no clock.
 */
final class BarePass {
  private final long[] last;
  private final long[] bid;
  private final long[] ask;
  private final long[] volume;
  private final long[] premarketVolume;
  private final long[] trades;
  private final long[] premarketTrades;
  private final long[] dollars;
  private final long[] dayHigh;
  private final long[] dayLow;
  private final long[] sessionHigh;
  private final long[] sessionLow;
  private final long[] vwapMoney;
  private final long[] vwapShares;

  BarePass(int securities) {
    last = new long[securities];
    bid = new long[securities];
    ask = new long[securities];
    volume = new long[securities];
    premarketVolume = new long[securities];
    trades = new long[securities];
    premarketTrades = new long[securities];
    dollars = new long[securities];
    dayHigh = new long[securities];
    dayLow = new long[securities];
    sessionHigh = new long[securities];
    sessionLow = new long[securities];
    vwapMoney = new long[securities];
    vwapShares = new long[securities];
    java.util.Arrays.fill(dayLow, Long.MAX_VALUE);
    java.util.Arrays.fill(sessionLow, Long.MAX_VALUE);
  }

  /**
   * Walks a session; returns a number that depends on every field, so that nothing is optimised
   * away.
   */
  long run(Session session) {
    EventTape tape = session.tape();
    SessionHours hours = session.hours();
    for (int i = 0; i < tape.size(); i++) {
      switch (tape.kind(i)) {
        case TRADE -> trade(tape, i, hours);
        case QUOTE -> {
          bid[tape.symbol(i)] = tape.bid(i);
          ask[tape.symbol(i)] = tape.ask(i);
        }
        case STATUS, CORRECTION, IMBALANCE, MENTION, NEWS -> {}
      }
    }
    long sum = 0;
    for (int s = 0; s < last.length; s++) {
      sum +=
          last[s]
              ^ bid[s]
              ^ ask[s]
              ^ volume[s]
              ^ premarketVolume[s]
              ^ trades[s]
              ^ premarketTrades[s]
              ^ dollars[s]
              ^ dayHigh[s]
              ^ dayLow[s]
              ^ sessionHigh[s]
              ^ sessionLow[s]
              ^ vwapMoney[s]
              ^ vwapShares[s];
    }
    return sum;
  }

  private void trade(EventTape tape, int i, SessionHours hours) {
    int s = tape.symbol(i);
    long at = tape.time(i);
    long price = tape.price(i);
    long size = tape.shares(i);
    int flags = TapeRules.flags(tape.conditions(i), hours.regular(at));
    if ((flags & TapeRules.VOLUME) != 0) {
      volume[s] += size;
      trades[s]++;
      dollars[s] += price * size;
      if (at < SessionHours.OPEN) {
        premarketVolume[s] += size;
        premarketTrades[s]++;
      }
    }
    if ((flags & TapeRules.VWAP) != 0) {
      vwapMoney[s] += price * size;
      vwapShares[s] += size;
    }
    if ((flags & TapeRules.HIGH_LOW) != 0) {
      sessionHigh[s] = Math.max(sessionHigh[s], price);
      sessionLow[s] = Math.min(sessionLow[s], price);
      if ((flags & TapeRules.REGULAR) != 0) {
        dayHigh[s] = Math.max(dayHigh[s], price);
        dayLow[s] = Math.min(dayLow[s], price);
      }
    }
    if ((flags & TapeRules.LAST) != 0) {
      last[s] = price;
    }
  }
}
