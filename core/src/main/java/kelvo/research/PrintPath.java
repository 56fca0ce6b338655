package kelvo.research;

import java.util.Arrays;
import java.util.function.Supplier;
import kelvo.session.Session;
import kelvo.state.Halts;
import kelvo.state.PricePath;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * A security's prints, quotes and halts. The prints are those of the whole session as they stand
 * corrected at its end, since this is about what could be had, not about what was known.
 */
final class PrintPath implements CasePath {
  private final PricePath path;
  private final Halts halts;
  private final EventTape tape;
  private final int[] quotes;
  private final Supplier<UsualSpreads> usual;
  private final String symbol;

  PrintPath(Session session, int security, Supplier<UsualSpreads> usual) {
    this.usual = usual;
    symbol = session.security(security).symbol();
    tape = session.tape();
    path = PricePath.of(session, security, DayTime.LAST);
    halts = Halts.of(session, security, DayTime.LAST);
    quotes = Arrays.stream(tape.eventsOf(security, tape.size())).filter(tape::isQuote).toArray();
  }

  @Override
  public @Nullable Entry entryAfter(long moment, int direction) {
    int place = path.firstAfter(moment);
    if (place == path.size()) {
      return null;
    }
    long at = path.time(place);
    long print = path.price(place);
    long quoted = spreadAt(at);
    boolean assumed = quoted == 0;
    long spread = assumed ? usual.get().assumed(symbol, at, print) : quoted;
    return Entry.beyond(at, print, direction, spread, assumed);
  }

  /** The spread of the newest quote up to a moment; 0 when none with two sides stood. */
  private long spreadAt(long moment) {
    long spread = 0;
    for (int quote : quotes) {
      if (tape.time(quote) > moment) {
        break;
      }
      long bid = tape.bid(quote);
      long ask = tape.ask(quote);
      spread = bid > 0 && ask > bid ? ask - bid : 0;
    }
    return spread;
  }

  /** Halted then, one gets out at the first print after it. */
  @Override
  public long exitTime(long moment) {
    for (Halts.Halt halt : halts.all()) {
      if (moment >= halt.from() && moment < halt.to()) {
        int next = halt.to() == Long.MAX_VALUE ? path.size() : path.firstAfter(halt.to() - 1);
        return next == path.size() ? DayTime.LAST : path.time(next);
      }
    }
    return moment;
  }

  @Override
  public double priceAt(long moment) {
    int place = path.firstAfter(moment) - 1;
    return place < 0 ? Double.NaN : Price.dollars(path.price(place));
  }

  @Override
  public double furthest(Entry entry, long until, int way) {
    return Price.dollars(path.best(entry.at(), until, way));
  }

  @Override
  public long firstAt(Entry entry, double price, int way) {
    for (int i = path.firstAfter(entry.at()); i < path.size(); i++) {
      if (way * (Price.dollars(path.price(i)) - price) >= 0) {
        return path.time(i);
      }
    }
    return TimeTo.NEVER;
  }

  @Override
  public double last() {
    return priceAt(DayTime.LAST);
  }
}
