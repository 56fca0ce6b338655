package kelvo.view;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.session.Session;
import kelvo.state.Halts;
import kelvo.state.StatusSoFar;
import kelvo.state.SymbolState;
import kelvo.tape.EventTape;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;

/** Shows the securities that do not trade, those that have just resumed, and all halts so far. */
public final class HaltsView implements View<HaltsView.HaltList> {
  /** For how long one that has resumed is shown. */
  private static final long RESUMED_SHOWN_FOR = 10 * DayTime.MINUTE;

  /**
   * A security that does not trade.
   *
   * @param state halted, or quoting before it trades again
   * @param since when the halt began, {@link DayTime}
   * @param reason the exchange's code; may be empty
   * @param direction 1 when the price had risen before it, -1 when it had fallen, else 0
   * @param times how often it was halted today
   * @param resumes the earliest end of a volatility pause; Long.MAX_VALUE when it has no usual end
   * @param bid the best bid, at which it might reopen; {@link kelvo.tape.Price#NONE} without quotes
   * @param ask likewise
   * @param imbalance shares of the auction's imbalance, above 0 for buyers; 0 when none is known
   * @param bandLow the lower edge of its volatility band, dollars; NaN when it has none
   * @param bandHigh the upper edge
   */
  public record Halted(
      String symbol,
      TradingState state,
      long since,
      String reason,
      int direction,
      int times,
      long resumes,
      long bid,
      long ask,
      long imbalance,
      double bandLow,
      double bandHigh) {}

  /**
   * A security that trades again.
   *
   * @param at since when
   * @param changePercent from the price at the halt; NaN when unknown
   */
  public record Resumed(String symbol, long at, double changePercent) {}

  /** A halt of the day, with the security's ticker. */
  public record Past(String symbol, Halts.Halt halt) {}

  /**
   * The halts at a moment.
   *
   * @param moment {@link DayTime}
   * @param halted securities that do not trade now, the newest first
   * @param resumed those that have traded again for less than ten minutes, the newest first
   * @param all the halts so far, the newest first
   */
  public record HaltList(long moment, List<Halted> halted, List<Resumed> resumed, List<Past> all) {
    /** When halts began today, those that are over included. */
    public List<Long> begun() {
      return all.stream().map(past -> past.halt().from()).toList();
    }
  }

  private final Field.Reading toResume;
  private final Field.Reading sinceHalt;
  private final Field.Reading bandLow;
  private final Field.Reading bandHigh;
  private int known = -1;
  private List<Past> all = List.of();

  /** The halts of a session. */
  public HaltsView(Session session) {
    toResume = FieldCatalogue.number("minutes to resume").bind(session);
    sinceHalt = FieldCatalogue.number("change since halt %").bind(session);
    bandLow = FieldCatalogue.number("lower band").bind(session);
    bandHigh = FieldCatalogue.number("upper band").bind(session);
  }

  @Override
  public HaltList look(Moment moment) {
    Session session = moment.session();
    int[] events = session.tape().statusEvents(moment.events());
    if (events.length != known) {
      known = events.length;
      all = all(session, events, moment.now());
    }
    List<Halted> halted = new ArrayList<>();
    List<Resumed> resumed = new ArrayList<>();
    for (int security : named(session.tape(), events)) {
      SymbolState state = moment.state(security);
      StatusSoFar status = state.status();
      String symbol = session.security(security).symbol();
      if (status.isHalted()) {
        halted.add(halted(symbol, state, moment));
      } else if (status.halts() > 0 && moment.now() - status.since() < RESUMED_SHOWN_FOR) {
        resumed.add(new Resumed(symbol, status.since(), sinceHalt.at(state, moment.now())));
      }
    }
    halted.sort(Comparator.comparingLong(Halted::since).reversed());
    resumed.sort(Comparator.comparingLong(Resumed::at).reversed());
    return new HaltList(moment.now(), List.copyOf(halted), List.copyOf(resumed), all);
  }

  private static TreeSet<Integer> named(EventTape tape, int[] events) {
    TreeSet<Integer> securities = new TreeSet<>();
    Arrays.stream(events).map(tape::symbol).forEach(securities::add);
    return securities;
  }

  private Halted halted(String symbol, SymbolState state, Moment moment) {
    StatusSoFar status = state.status();
    double minutes = toResume.at(state, moment.now());
    return new Halted(
        symbol,
        status.state(),
        status.haltedAt(),
        status.haltReason(),
        status.haltDirection(),
        status.halts(),
        Double.isNaN(minutes) ? Long.MAX_VALUE : status.pauseEnds(),
        state.bid(),
        state.ask(),
        state.imbalance(),
        bandLow.at(state, moment.now()),
        bandHigh.at(state, moment.now()));
  }

  private static List<Past> all(Session session, int[] events, long now) {
    List<Past> found = new ArrayList<>();
    for (int security : named(session.tape(), events)) {
      Halts.of(session, security, now)
          .all()
          .forEach(halt -> found.add(new Past(session.security(security).symbol(), halt)));
    }
    found.sort(Comparator.comparingLong((Past past) -> past.halt().from()).reversed());
    return List.copyOf(found);
  }
}
