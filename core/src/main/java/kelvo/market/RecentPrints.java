package kelvo.market;

import java.util.ArrayList;
import java.util.List;
import kelvo.time.DayTime;

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
    double buying = 0;
    long volume = 0;
    boolean quoted = false;
    for (int event : tape.eventsOf(security, tape.countUntil(moment))) {
      if (tape.kind(event) == EventKind.QUOTE) {
        bid = tape.bid(event);
        ask = tape.ask(event);
      } else if (tape.kind(event) == EventKind.TRADE) {
        Place place = place(tape.price(event), bid, ask);
        prints.add(new Print(tape.time(event), tape.price(event), tape.shares(event), place));
        boolean counts = (TapeRules.flags(tape.conditions(event), false) & TapeRules.VOLUME) != 0;
        if (counts && tape.time(event) > moment - DayTime.MINUTE) {
          volume += tape.shares(event);
          buying += tape.shares(event) * buyingPart(tape.price(event), bid, ask, place);
          quoted |= place != Place.NO_QUOTE;
        }
      }
    }
    List<Print> newest =
        new ArrayList<>(
            prints.subList(Math.max(0, prints.size() - most), prints.size()).reversed());
    return new RecentPrints(List.copyOf(newest), quoted ? buying / volume : Double.NaN);
  }

  private static Place place(long price, long bid, long ask) {
    if (bid == Price.NONE || ask == Price.NONE || ask <= bid) {
      return Place.NO_QUOTE;
    }
    return price >= ask ? Place.AT_ASK : price <= bid ? Place.AT_BID : Place.BETWEEN;
  }

  private static double buyingPart(long price, long bid, long ask, Place place) {
    if (place == Place.NO_QUOTE || place == Place.BETWEEN && 2 * price >= bid + ask) {
      return 0.5;
    }
    return place == Place.AT_ASK ? 1 : 0;
  }
}
