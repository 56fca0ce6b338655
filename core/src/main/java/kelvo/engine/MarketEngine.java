package kelvo.engine;

import java.util.BitSet;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.market.Crossing;
import kelvo.market.Effect;
import kelvo.market.EventTape;
import kelvo.market.Session;
import kelvo.market.SymbolState;
import kelvo.scan.FieldValues;
import kelvo.scan.Hit;
import kelvo.scan.ScanBoard;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.trigger.Trigger;

/**
 * The one loop that owns the market's state: applies a session's events in order, keeps every
 * security's state, asks the scans again and reports hits. Its time comes from the events, so the
 * same events give the same hits. Owned by one thread; allocates only for hits.
 */
public final class MarketEngine {
  /** The scan's name on hits that come from levels. */
  public static final String LEVELS = "levels";

  private static final Trigger[] EFFECT_TRIGGERS =
      java.util.Arrays.stream(Trigger.values())
          .filter(t -> t.effect() != 0)
          .toArray(Trigger[]::new);

  private final Session session;
  private final EventTape tape;
  private final Phases phases;
  private final SymbolState[] states;
  private final ScanBoard board;
  private final LevelWatch levels;
  private final ExpiryWheel wheel;
  private final Consumer<Hit> hitSink;
  private final List<Field.Number> recorded;
  private final Field.Reading[] recordedReadings;
  private final BitSet withNews = new BitSet();
  private int events;
  private int second = (int) (DayTime.FIRST / DayTime.SECOND) - 1;
  private int phase;
  private long clock;
  private int hits;

  /**
   * An engine before the first event.
   *
   * @param hitSink gets each hit on the engine's thread
   */
  public MarketEngine(Session session, Program program, Consumer<Hit> hitSink) {
    this.session = session;
    this.hitSink = hitSink;
    tape = session.tape();
    phases = session.phases();
    states =
        IntStream.range(0, session.securities().size())
            .mapToObj(i -> new SymbolState(i, session.hours(), session.security(i).previousClose()))
            .toArray(SymbolState[]::new);
    board = new ScanBoard(program.scans(), session);
    levels = new LevelWatch(program.levels(), session);
    wheel = new ExpiryWheel(states.length);
    recorded = recordedFields();
    recordedReadings = recorded.stream().map(f -> f.bind(session)).toArray(Field.Reading[]::new);
  }

  /** The number fields whose values every hit keeps. */
  public static List<Field.Number> recordedFields() {
    return FieldCatalogue.usual().stream()
        .filter(Field.Number.class::isInstance)
        .map(Field.Number.class::cast)
        .toList();
  }

  /**
   * Applies every event up to and including a moment, and all that time alone changes until then.
   */
  public void runTo(long moment) {
    while (events < tape.size() && tape.time(events) <= moment) {
      step();
    }
    passTime(moment);
  }

  /** Applies the next event of the tape. */
  void step() {
    int event = events++;
    long now = Math.max(clock, tape.time(event));
    passTime(now);
    SymbolState state = states[tape.symbol(event)];
    long priceBefore = state.price();
    int effect = state.apply(tape, event);
    if ((effect & Effect.NEWS) != 0) {
      withNews.set(state.id());
    }
    if (now < DayTime.FIRST) {
      return;
    }
    if (board.windowed() != 0) {
      scheduleExpiry(state, now);
    }
    edges(state, board.edges(), now);
    if ((effect & ~Effect.PRICE) != 0) {
      fire(state, effect, now);
    }
    if ((effect & Effect.PRICE) != 0) {
      levels.next(
          state,
          priceBefore,
          now,
          (level, way) ->
              hit(
                  LEVELS,
                  Side.of(way),
                  state,
                  way == Crossing.ROSE ? Trigger.RISES_THROUGH_LEVEL : Trigger.FALLS_THROUGH_LEVEL,
                  now));
    }
  }

  private void passTime(long now) {
    long wholeSecond = now / DayTime.SECOND;
    while (second < wholeSecond) {
      second++;
      wholeSecond(second * DayTime.SECOND);
    }
    clock = Math.max(clock, now);
  }

  /**
   * What time alone changes: phases and windows that begin, sliding windows and minutes that run
   * out.
   */
  private void wholeSecond(long moment) {
    if (moment % DayTime.MINUTE == 0) {
      int newPhase = phases.indexAt(moment);
      boolean begins = newPhase != phase || moment == DayTime.FIRST;
      phase = newPhase;
      if (board.openAt(moment) || begins) {
        for (SymbolState state : states) {
          edges(state, board.edges(), moment);
        }
      }
    }
    for (int id = wheel.poll(second); id >= 0; id = wheel.poll(second)) {
      edges(states[id], board.windowed(), moment);
      scheduleExpiry(states[id], moment);
    }
    if (board.timed() != 0) {
      minutesPass(moment);
    }
  }

  private void minutesPass(long moment) {
    for (int i = withNews.nextSetBit(0); i >= 0; i = withNews.nextSetBit(i + 1)) {
      SymbolState state = states[i];
      long age = moment - state.newsAt();
      if (age % DayTime.MINUTE < DayTime.SECOND) {
        edges(state, board.timed(), moment);
      }
    }
  }

  private void scheduleExpiry(SymbolState state, long now) {
    long change = state.lastFiveMinutes().nextChange(now);
    if (change != Long.MAX_VALUE) {
      int due = (int) ((change + DayTime.SECOND - 1) / DayTime.SECOND);
      wheel.schedule(state.id(), Math.max(due, second + 1));
    }
  }

  private void edges(SymbolState state, long scans, long now) {
    long changed = board.update(state, scans, now, phase);
    while (changed != 0) {
      int k = Long.numberOfTrailingZeros(changed);
      changed &= changed - 1;
      Trigger trigger = board.isInside(state.id(), k) ? Trigger.ENTERS : Trigger.LEAVES;
      if ((board.listening(trigger) >>> k & 1) != 0) {
        scanHit(k, state, trigger, now);
      }
    }
  }

  private void fire(SymbolState state, int effect, long now) {
    for (Trigger trigger : EFFECT_TRIGGERS) {
      if ((effect & trigger.effect()) == 0) {
        continue;
      }
      long fitting = board.fitting(state, board.listening(trigger), now, phase);
      while (fitting != 0) {
        int k = Long.numberOfTrailingZeros(fitting);
        fitting &= fitting - 1;
        scanHit(k, state, trigger, now);
      }
    }
  }

  private void scanHit(int scan, SymbolState state, Trigger trigger, long now) {
    var asked = board.check(scan).scan();
    Side side = asked.side();
    if (side == Side.BOTH) {
      double way =
          trigger.direction() != 0 ? trigger.direction() : state.price() - state.previousClose();
      side = Side.of(way);
    }
    hit(asked.name(), side, state, trigger, now);
  }

  private void hit(String scan, Side side, SymbolState state, Trigger trigger, long now) {
    double[] values = new double[recordedReadings.length];
    for (int i = 0; i < values.length; i++) {
      values[i] = recordedReadings[i].at(state, now);
    }
    String symbol = session.security(state.id()).symbol();
    hitSink.accept(
        new Hit(
            hits++,
            scan,
            side,
            state.id(),
            symbol,
            now,
            trigger,
            state.price(),
            new FieldValues(recorded, values)));
  }

  /** The session. */
  public Session session() {
    return session;
  }

  /** The greatest time seen. */
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

  /** How many hits there have been. */
  public int hits() {
    return hits;
  }

  /** The state of a security; only for the engine's own thread. */
  public SymbolState state(int security) {
    return states[security];
  }

  /** The scans; only for the engine's own thread. */
  public ScanBoard board() {
    return board;
  }

  Checkpoint checkpoint() {
    SymbolState[] copies = new SymbolState[states.length];
    for (int i = 0; i < copies.length; i++) {
      copies[i] = states[i].copy();
    }
    return new Checkpoint(
        events, second, clock, hits, copies, board.insideCopy(), levels.copyOfCrossings());
  }

  void restore(Checkpoint checkpoint) {
    events = checkpoint.events();
    second = checkpoint.second();
    clock = checkpoint.clock();
    hits = checkpoint.hits();
    phase = phases.indexAt(second * DayTime.SECOND);
    board.restore(checkpoint.inside(), second * DayTime.SECOND);
    levels.restore(checkpoint.crossings());
    wheel.clear();
    for (int i = 0; i < states.length; i++) {
      states[i].copyFrom(checkpoint.states()[i]);
      withNews.set(i, states[i].newsItems() > 0);
      if (board.windowed() != 0) {
        scheduleExpiry(states[i], clock);
      }
    }
  }
}
