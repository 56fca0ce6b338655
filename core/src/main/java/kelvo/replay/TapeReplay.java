package kelvo.replay;

import java.util.List;
import java.util.Objects;
import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.Market;
import kelvo.state.MarketGauge;
import kelvo.state.SymbolState;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import org.jspecify.annotations.Nullable;

/**
 * The one loop over a tape: applies a session's events in order, owns every security's state, the
 * market's gauge and the clock, and tells a listener what each event did. Its time comes from the
 * events, so the same events give the same states. Without a listener it only keeps the market,
 * which is what a seek needs. Owned by one thread; allocates nothing itself.
 *
 * <pre>{@code
 * TapeReplay replay = new TapeReplay(session);
 * replay.runTo(DayTime.of(9, 41));
 * long price = replay.state(session.numberOf("ORBTOW").getAsInt()).price();
 * }</pre>
 */
public final class TapeReplay {
  private static final int BEFORE_FIRST_SECOND = (int) (DayTime.FIRST / DayTime.SECOND) - 1;

  private final Session session;
  private final EventTape tape;
  private final EventTape.Cursor cursor;
  private final Phases phases;
  private final Market market;
  private final MarketGauge gauge;
  private final SymbolState[] states;
  private @Nullable TapeListener listener;
  private int events;
  private int second = BEFORE_FIRST_SECOND;
  private long nextSecond = DayTime.FIRST;
  private long clock;

  /** A replay before the first event, to which nobody listens. */
  public TapeReplay(Session session) {
    this.session = session;
    tape = session.tape();
    cursor = tape.cursor();
    phases = session.phases();
    market = Market.of(session);
    gauge = Objects.requireNonNull(market.gauge());
    states = market.states().toArray(SymbolState[]::new);
  }

  /** From now on tells somebody what the events do. */
  public void listen(TapeListener to) {
    listener = to;
  }

  /** Applies every event up to and including a moment, and lets the time until then pass. */
  public void runTo(long moment) {
    int end = tape.size();
    while (events < end && timeOfNext() <= moment) {
      apply();
    }
    passTime(moment);
    clock = Math.max(clock, moment);
  }

  /** Applies events until so many of the tape have been applied, whatever their times. */
  public void runToEvent(int count) {
    while (events < count) {
      step();
    }
  }

  /** Applies the next event of the tape. */
  public void step() {
    cursor.moveTo(events);
    apply();
  }

  private long timeOfNext() {
    cursor.moveTo(events);
    return cursor.time();
  }

  /** Applies the event at which the cursor stands, the next one. */
  private void apply() {
    int event = events++;
    long now = Math.max(clock, cursor.time());
    if (now >= nextSecond) {
      passTime(now);
    }
    clock = now;
    market.taken(events);
    SymbolState state = states[cursor.symbol()];
    int effects = state.apply(market, cursor);
    if ((effects & Effect.PRICE) != 0) {
      gauge.priced(state);
    }
    if (listener != null) {
      listener.applied(state, effects, event, now);
    }
  }

  private void passTime(long now) {
    if (now < nextSecond) {
      return;
    }
    int last = (int) (now / DayTime.SECOND);
    if (listener == null) {
      second = last;
    } else {
      while (second < last) {
        second++;
        listener.second(second * DayTime.SECOND);
      }
    }
    nextSecond = (second + 1) * DayTime.SECOND;
  }

  /** The session. */
  public Session session() {
    return session;
  }

  /** The greatest time seen, {@link DayTime}. */
  public long clock() {
    return clock;
  }

  /** The phase of the clock, by its place. */
  public int phase() {
    return phases.indexAt(clock);
  }

  /** How many events have been applied. */
  public int events() {
    return events;
  }

  /** The state of a security; only for the replay's own thread. */
  public SymbolState state(int security) {
    return states[security];
  }

  /** The market as a whole; only for the replay's own thread. */
  public Market market() {
    return market;
  }

  /** The states of all securities, by number; only for the replay's own thread. */
  public List<SymbolState> states() {
    return market.states();
  }

  Checkpoint checkpoint() {
    SymbolState[] copies = new SymbolState[states.length];
    for (int i = 0; i < copies.length; i++) {
      copies[i] = states[i].copy();
    }
    return new Checkpoint(events, second, clock, copies);
  }

  void restore(Checkpoint checkpoint) {
    events = checkpoint.events();
    second = checkpoint.second();
    nextSecond = (second + 1) * DayTime.SECOND;
    clock = checkpoint.clock();
    for (int i = 0; i < states.length; i++) {
      states[i].copyFrom(checkpoint.states()[i]);
    }
    gauge.restore(states);
    market.taken(events);
  }
}
