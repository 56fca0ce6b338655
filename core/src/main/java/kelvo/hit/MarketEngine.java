package kelvo.hit;

import kelvo.level.LevelProgress;
import kelvo.level.LevelWatch;

import java.util.Objects;
import java.util.function.Consumer;
import kelvo.state.Effect;
import kelvo.tape.EventTape;
import kelvo.state.Market;
import kelvo.state.MarketGauge;
import kelvo.session.Session;
import kelvo.state.SlidingSpan;
import kelvo.state.SymbolState;
import kelvo.hit.Hit;
import kelvo.hit.ScanBoard;
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

  private static final int PRINTS_BETWEEN_READINGS = 1024;

  private static final SlidingSpan[] SPANS = SlidingSpan.values();

  private final Session session;
  private final EventTape tape;
  private final EventTape.Cursor cursor;
  private final Phases phases;
  private final SymbolState[] states;
  private final Market market;
  private final MarketGauge gauge;
  private final ScanBoard board;
  private final LevelWatch levels;
  private final ExpiryWheel wheel;
  private final Consumer<Hit> hitSink;
  private final TriggerWatch.Fired fired = this::fire;
  private final HitFields hitFields;
  private final TriggerWatch triggers;
  private final TopWatch tops;
  private final int triggerEffects;
  private final boolean anyLevel;
  private final long entering;
  private final long leaving;
  private final ExpiryWheel newsWheel;
  private boolean keepsUp;
  private int events;
  private int second = (int) (DayTime.FIRST / DayTime.SECOND) - 1;
  private long nextSecond = DayTime.FIRST;
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
    cursor = tape.cursor();
    phases = session.phases();
    market = Market.of(session);
    gauge = Objects.requireNonNull(market.gauge());
    states = market.states().toArray(SymbolState[]::new);
    board = new ScanBoard(program.scans(), session);
    entering = board.listening(Trigger.ENTERS);
    leaving = board.listening(Trigger.LEAVES);
    triggers = new TriggerWatch(program.scans(), board, session);
    tops = new TopWatch(program.scans(), board, session, states);
    levels = new LevelWatch(program.levels(), session);
    triggerEffects = triggers.effects();
    anyLevel = !program.levels().isEmpty();
    wheel = new ExpiryWheel(states.length);
    newsWheel = new ExpiryWheel(states.length);
    hitFields = new HitFields(session, program.scans());
  }

  /**
   * From now on reads what scans may ask of a busy security every thousand prints, whether they ask
   * or not. What is made from the tape when first asked for would else take as long as the security
   * has prints, some milliseconds at a moment when a hit is due. For sessions that go on; hits are
   * the same.
   */
  public void keepUp() {
    keepsUp = true;
  }

  /**
   * Applies every event up to and including a moment, and all that time alone changes until then.
   */
  public void runTo(long moment) {
    int end = tape.size();
    while (events < end && timeOfNext() <= moment) {
      apply();
      if (keepsUp) {
        readIfBusy();
      }
    }
    passTime(moment);
    clock = Math.max(clock, moment);
  }

  /** Applies the next event of the tape. */
  public void step() {
    cursor.moveTo(events);
    apply();
    if (keepsUp) {
      readIfBusy();
    }
  }

  /** Reads all fields of the security of the event at which the cursor stands, now and then. */
  private void readIfBusy() {
    SymbolState state = states[cursor.symbol()];
    if (state.trades() % PRINTS_BETWEEN_READINGS == PRINTS_BETWEEN_READINGS - 1) {
      board.readAll(state, clock);
    }
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
    int security = cursor.symbol();
    SymbolState state = states[security];
    if (anyLevel) {
      levels.before(state);
    }
    int effect = state.apply(market, cursor);
    if ((effect & Effect.PRICE) != 0) {
      gauge.priced(state);
    }
    if (now < DayTime.FIRST) {
      scheduleMinute(state);
      return;
    }
    if ((effect & Effect.NEWS) != 0) {
      board.wake(security);
      scheduleMinute(state);
    }
    long due =
        effect == Effect.QUOTE ? board.dueAfterQuote(security, now) : board.dueAfterEvent(security);
    if (due != 0) {
      edges(state, due, now);
      awaitTime(state, now);
    }
    if ((effect & triggerEffects) != 0) {
      triggers.after(state, effect, event, now, fired);
    }
    if (anyLevel && (effect & Effect.PRICE) != 0) {
      levels.next(state, now, (level, did) -> levelHits(state, did, now));
    }
    if (tops.isAsked()) {
      tops.changed(state, now);
      tops.settle(now, fired);
    }
  }

  private void levelHits(SymbolState state, int did, long now) {
    levelHit(state, did, LevelProgress.TOUCHED_FROM_BELOW, Trigger.TOUCHES_LEVEL, Side.UP, now);
    levelHit(state, did, LevelProgress.TOUCHED_FROM_ABOVE, Trigger.TOUCHES_LEVEL, Side.DOWN, now);
    levelHit(state, did, LevelProgress.ROSE, Trigger.RISES_THROUGH_LEVEL, Side.UP, now);
    levelHit(state, did, LevelProgress.FELL, Trigger.FALLS_THROUGH_LEVEL, Side.DOWN, now);
    levelHit(state, did, LevelProgress.RETESTED_FROM_ABOVE, Trigger.RETESTS_LEVEL, Side.UP, now);
    levelHit(state, did, LevelProgress.RETESTED_FROM_BELOW, Trigger.RETESTS_LEVEL, Side.DOWN, now);
    if ((did & LevelProgress.QUIETLY) != 0) {
      fire(
          state,
          Trigger.RETESTS_LEVEL_QUIETLY,
          board.listening(Trigger.RETESTS_LEVEL_QUIETLY),
          now);
    }
  }

  /** A hit of the level itself, and of the scans that wait for it. */
  private void levelHit(SymbolState state, int did, int bit, Trigger trigger, Side side, long now) {
    if ((did & bit) != 0) {
      hit(LEVELS, side, state, trigger, now);
      fire(state, trigger, board.listening(trigger), now);
    }
  }

  private void passTime(long now) {
    while (nextSecond <= now) {
      second++;
      nextSecond += DayTime.SECOND;
      wholeSecond(second * DayTime.SECOND);
    }
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
          board.wake(state.id());
          edges(state, board.edges(), moment);
          awaitTime(state, moment);
          scheduleMinute(state);
        }
      }
    }
    for (int id = wheel.poll(second); id >= 0; id = wheel.poll(second)) {
      edges(states[id], board.awaiting(id), moment);
      awaitTime(states[id], moment);
    }
    for (int id = newsWheel.poll(second); id >= 0; id = newsWheel.poll(second)) {
      edges(states[id], board.timed(), moment);
      awaitTime(states[id], moment);
      scheduleMinute(states[id]);
    }
    if (tops.isAsked()) {
      tops.timePassed(moment);
      tops.settle(moment, fired);
    }
  }

  /**
   * Puts a security at the whole second at which the minutes since its news are one more, while a
   * scan that is awake asks for them.
   */
  private void scheduleMinute(SymbolState state) {
    long next = nextMinuteOfNews(state, second * DayTime.SECOND);
    if (next != Long.MAX_VALUE) {
      newsWheel.schedule(state.id(), wholeSecondFrom(next));
    }
  }

  /** When the minutes since a security's news are next one more; never when no scan asks. */
  private long nextMinuteOfNews(SymbolState state, long now) {
    return board.isAwake(state.id(), board.timed()) && state.news().items() > 0
        ? now - Math.floorMod(now - state.news().at(), DayTime.MINUTE) + DayTime.MINUTE
        : Long.MAX_VALUE;
  }

  /** Notes when time alone may change an answer about a security that has just been asked about. */
  private void awaitTime(SymbolState state, long now) {
    int id = state.id();
    long waiting = board.awaiting(id);
    if ((waiting & board.clocked()) != 0) {
      board.awaitUntil(id, now);
      wheel.schedule(id, second + 1);
      return;
    }
    long leaves = waiting == 0 ? Long.MAX_VALUE : nextPrintToLeave(state, waiting, now);
    if (leaves != Long.MAX_VALUE) {
      wheel.schedule(id, Math.max(wholeSecondFrom(leaves), second + 1));
    }
    board.awaitUntil(id, Math.min(leaves, nextMinuteOfNews(state, now)));
  }

  private long nextPrintToLeave(SymbolState state, long waiting, long now) {
    long change = Long.MAX_VALUE;
    for (SlidingSpan span : SPANS) {
      if ((waiting & board.windowed(span)) != 0) {
        change = Math.min(change, state.nextChange(span, now));
      }
    }
    return change;
  }

  private static int wholeSecondFrom(long moment) {
    return (int) ((moment + DayTime.SECOND - 1) / DayTime.SECOND);
  }

  private void edges(SymbolState state, long scans, long now) {
    long changed = board.update(state, scans, now, phase);
    if (changed != 0 && tops.isAsked()) {
      tops.changed(state, now);
    }
    while (changed != 0) {
      int k = Long.numberOfTrailingZeros(changed);
      changed &= changed - 1;
      boolean entered = board.isInside(state.id(), k);
      if (((entered ? entering : leaving) >>> k & 1) != 0) {
        scanHit(k, state, entered ? Trigger.ENTERS : Trigger.LEAVES, now);
      }
    }
  }

  private void fire(SymbolState state, Trigger trigger, long scans, long now) {
    long fitting = board.fitting(state, scans, now, phase);
    while (fitting != 0) {
      int k = Long.numberOfTrailingZeros(fitting);
      fitting &= fitting - 1;
      scanHit(k, state, trigger, now);
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
            hitFields.of(state, now)));
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

  public Checkpoint checkpoint() {
    SymbolState[] copies = new SymbolState[states.length];
    for (int i = 0; i < copies.length; i++) {
      copies[i] = states[i].copy();
    }
    return new Checkpoint(
        events,
        second,
        clock,
        hits,
        copies,
        board.insideCopy(),
        levels.memory(),
        triggers.memories(),
        tops.memory());
  }

  public void restore(Checkpoint checkpoint) {
    events = checkpoint.events();
    second = checkpoint.second();
    nextSecond = (second + 1) * DayTime.SECOND;
    clock = checkpoint.clock();
    hits = checkpoint.hits();
    phase = phases.indexAt(second * DayTime.SECOND);
    board.restore(checkpoint.inside(), second * DayTime.SECOND);
    levels.restore(checkpoint.levels());
    tops.restore(checkpoint.tops());
    triggers.restore(checkpoint.detectors());
    wheel.clear();
    newsWheel.clear();
    for (int i = 0; i < states.length; i++) {
      states[i].copyFrom(checkpoint.states()[i]);
      scheduleMinute(states[i]);
      awaitTime(states[i], clock);
    }
    gauge.restore(states);
  }
}
