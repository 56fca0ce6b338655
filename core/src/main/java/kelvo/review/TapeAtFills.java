package kelvo.review;

import kelvo.session.Session;
import kelvo.tape.Corrections;
import kelvo.tape.EventKind;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.TapeRules;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.Trade;

/** What the tape of one security said when a trade was filled: the quotes and the volume. */
final class TapeAtFills {
  private static final long BEFORE = 5 * DayTime.MINUTE;

  private final Session session;
  private final EventTape tape;
  private final int[] events;
  private final Corrections corrections;

  TapeAtFills(Session session, int security, long until) {
    this.session = session;
    tape = session.tape();
    events = tape.eventsOf(security, tape.countUntil(until));
    corrections = Corrections.among(tape, events);
  }

  /**
   * What the fills of the day paid beyond the middle of the quotes that stood, dollars: with Q
   * shares at price P against a middle M, side x Q x (P - M), where side is 1 for a purchase. This
   * is half of the effective spread, as the SEC's Rule 605 (17 CFR 242.600) measures it. NaN when
   * no quote stood at one of them.
   */
  double spreadCost(Trade trade) {
    double cost = 0;
    for (Fill fill : trade.fills()) {
      if (fill.at() >= 0) {
        double beyond = fill.price().doubleValue() - middleAt(fill.at());
        cost += fill.side().sign() * fill.quantity().doubleValue() * beyond;
      }
    }
    return cost;
  }

  /** The middle of the newest quote up to a moment; NaN without one that has both sides. */
  private double middleAt(long moment) {
    double middle = Double.NaN;
    for (int event : events) {
      if (tape.time(event) > moment) {
        break;
      }
      if (tape.isQuote(event)) {
        boolean both = tape.bid(event) > 0 && tape.ask(event) > 0;
        middle =
            both
                ? (Price.dollars(tape.bid(event)) + Price.dollars(tape.ask(event))) / 2
                : Double.NaN;
      }
    }
    return middle;
  }

  /** Shares opened over those printed in the five minutes up to the entry; NaN without a print. */
  double volumeShare(Trade trade) {
    long entry = trade.entryAt();
    long printed = 0;
    for (int event : events) {
      long at = tape.time(event);
      if (tape.kind(event) == EventKind.TRADE
          && at > entry - BEFORE
          && at <= entry
          && !corrections.cancels(tape, event)
          && (TapeRules.flags(tape.conditions(event), session.hours().regular(at))
                  & TapeRules.VOLUME)
              != 0) {
        printed += tape.shares(event);
      }
    }
    return printed == 0 ? Double.NaN : trade.shares().doubleValue() / printed;
  }
}
