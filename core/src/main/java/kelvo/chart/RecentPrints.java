package kelvo.chart;

import java.util.ArrayList;
import java.util.List;
import kelvo.session.Session;
import kelvo.state.TapeMoment;
import kelvo.tape.Corrections;
import kelvo.tape.EventTape;
import kelvo.tape.Price;

/**
 * The newest prints of one security, each held against the quote in force when it was made.
 *
 * @param prints newest first
 * @param buyingShare share of the last minute's volume at or above the ask, half of that between;
 *     NaN without prints or quotes
 */
public record RecentPrints(List<Print> prints, double buyingShare) {
  /** Where a print was made. */
  public enum Place {
    AT_ASK("at ask"),
    BETWEEN("between"),
    AT_BID("at bid"),
    NO_QUOTE("no quote");

    private final String words;

    Place(String words) {
      this.words = words;
    }

    /** The place in words. */
    public String words() {
      return words;
    }
  }

  /** One print. */
  public record Print(long at, long price, long shares, Place place) {}

  /** The newest prints of a security up to a moment, at most {@code most}. */
  public static RecentPrints of(Session session, int security, long moment, int most) {
    EventTape tape = session.tape();
    List<Print> prints = new ArrayList<>();
    long bid = Price.NONE;
    long ask = Price.NONE;
    int[] events = tape.eventsOf(security, tape.countUntil(moment));
    Corrections corrections = Corrections.among(tape, events);
    for (int event : events) {
      if (tape.isQuote(event)) {
        bid = tape.bid(event);
        ask = tape.ask(event);
      } else if (tape.isTrade(event) && !corrections.cancels(tape, event)) {
        long price = corrections.price(tape, event);
        long shares = corrections.shares(tape, event);
        prints.add(new Print(tape.time(event), price, shares, place(price, bid, ask)));
      }
    }
    List<Print> newest =
        new ArrayList<>(
            prints.subList(Math.max(0, prints.size() - most), prints.size()).reversed());
    int last = events.length == 0 ? EventTape.NONE : events[events.length - 1];
    double buyingShare = new TapeMoment(session, corrections, last, moment).buyingShare();
    return new RecentPrints(List.copyOf(newest), buyingShare);
  }

  private static Place place(long price, long bid, long ask) {
    if (bid == Price.NONE || ask == Price.NONE || ask <= bid) {
      return Place.NO_QUOTE;
    }
    return price >= ask ? Place.AT_ASK : price <= bid ? Place.AT_BID : Place.BETWEEN;
  }
}
