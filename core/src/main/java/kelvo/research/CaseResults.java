package kelvo.research;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import kelvo.history.DailyBar;
import kelvo.session.Session;
import kelvo.state.Halts;
import kelvo.state.PricePath;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * What came of entries in one security of one session. The prints are those of the whole session as
 * they stand corrected at its end, since this is about what could be had, not about what was known.
 */
final class CaseResults {
  private static final long CENT = Price.DOLLAR / 100;

  private final Session session;
  private final String symbol;
  private final PricePath path;
  private final Halts halts;
  private final EventTape tape;
  private final int[] quotes;
  private final double close;
  private final LaterDays later;
  private final Question.Costs costs;

  /**
   * A security of a session that is over.
   *
   * @param close its close, dollars; NaN without one
   */
  CaseResults(Session session, int security, double close, LaterDays later, Question.Costs costs) {
    this.session = session;
    this.close = close;
    this.later = later;
    this.costs = costs;
    symbol = session.security(security).symbol();
    tape = session.tape();
    path = PricePath.of(session, security, DayTime.LAST);
    halts = Halts.of(session, security, DayTime.LAST);
    int[] events = tape.eventsOf(security, tape.size());
    quotes = Arrays.stream(events).filter(tape::isQuote).toArray();
  }

  /**
   * An entry: when, at which price in dollars with half of the spread, and whether that is told.
   */
  record Entry(long at, double price, boolean spreadAssumed) {}

  /**
   * The entry at the first print after a moment.
   *
   * @return null when nothing was printed any more
   */
  @Nullable Entry entryAfter(long moment, int direction) {
    int place = path.firstAfter(moment);
    if (place == path.size()) {
      return null;
    }
    long at = path.time(place);
    long print = path.price(place);
    long spread = spreadAt(at);
    long tick = print >= Price.DOLLAR ? CENT : 1;
    double half = (spread == 0 ? tick : spread) / 2.0;
    return new Entry(at, (print + direction * half) / Price.DOLLAR, spread == 0);
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

  /** What an entry comes to at each horizon. */
  Course course(Entry entry, int direction) {
    return new Course(entry, direction);
  }

  /** An entry and what it came to at each horizon. */
  final class Course {
    private final Entry entry;
    private final int direction;
    private final List<Double> results = new ArrayList<>();
    private final List<Double> best = new ArrayList<>();
    private final List<Double> worst = new ArrayList<>();
    private boolean gone;

    private Course(Entry entry, int direction) {
      this.entry = entry;
      this.direction = direction;
      for (Held until : Held.values()) {
        add(until);
      }
    }

    List<Double> results() {
      return results;
    }

    List<Double> best() {
      return best;
    }

    List<Double> worst() {
      return worst;
    }

    boolean isGone() {
      return gone;
    }

    private void add(Held until) {
      if (until.minutes() > 0) {
        long end = exitTime(entry.at() + until.minutes() * DayTime.MINUTE);
        add(priceAt(end), end, 1);
      } else if (until == Held.CLOSE) {
        boolean over = entry.at() >= session.hours().close();
        add(over ? Double.NaN : close, session.hours().close(), 1);
      } else {
        add(laterPrice(until), DayTime.LAST, until == Held.NEXT_OPEN ? 1 : until.day());
      }
    }

    private void add(double price, long end, int lastDay) {
      results.add(direction * (price / entry.price() - 1) - costs.part(entry.price()));
      best.add(Double.isNaN(price) ? price : Math.max(0, furthest(price, end, lastDay, direction)));
      worst.add(
          Double.isNaN(price) ? price : -Math.max(0, furthest(price, end, lastDay, -direction)));
    }

    /** How far the price went one way until the exit, as a part of the entry. */
    private double furthest(double exit, long end, int lastDay, int way) {
      double furthest = way * (exit / entry.price() - 1);
      long extreme = path.best(entry.at(), end, way);
      if (extreme != Price.NONE) {
        furthest = Math.max(furthest, way * (Price.dollars(extreme) / entry.price() - 1));
      }
      for (int day = 2; day <= lastDay; day++) {
        LaterDays.Later then = later.of(symbol, day);
        DailyBar bar = then.bar();
        if (then.standing() == LaterDays.Standing.TRADED && bar != null) {
          long reached = way > 0 ? bar.high() : bar.low();
          furthest = Math.max(furthest, way * (Price.dollars(reached) / entry.price() - 1));
        }
      }
      return furthest;
    }

    private double laterPrice(Held until) {
      LaterDays.Later then = later.of(symbol, until.day());
      DailyBar bar = then.bar();
      return switch (then.standing()) {
        case UNKNOWN -> Double.NaN;
        case TRADED ->
            bar == null
                ? Double.NaN
                : Price.dollars(until == Held.NEXT_OPEN ? bar.open() : bar.close());
        case GONE -> {
          gone = true;
          yield bar == null ? lastPrice() : Price.dollars(bar.close());
        }
      };
    }
  }

  /** A moment, or when trading goes on if it was halted then. */
  private long exitTime(long moment) {
    for (Halts.Halt halt : halts.all()) {
      if (moment >= halt.from() && moment < halt.to()) {
        int next = halt.to() == Long.MAX_VALUE ? path.size() : path.firstAfter(halt.to() - 1);
        return next == path.size() ? DayTime.LAST : path.time(next);
      }
    }
    return moment;
  }

  /** The price in force at a moment, or at the end of the session when that comes before. */
  private double priceAt(long moment) {
    int place = path.firstAfter(moment) - 1;
    return place < 0 ? Double.NaN : Price.dollars(path.price(place));
  }

  private double lastPrice() {
    return path.size() == 0 ? Double.NaN : Price.dollars(path.price(path.size() - 1));
  }
}
