package kelvo.hit;

import java.util.function.Consumer;
import kelvo.field.RecentHits;
import kelvo.replay.TapeListener;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SlidingSpan;
import kelvo.state.SymbolState;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.trigger.Trigger;

/**
 * Asks scans again about a security after each of its events and whenever time alone may have
 * changed an answer, fires their triggers and reports hits. It listens to a replay and never looks
 * at anything else, so the same events give the same hits. Owned by the replay's thread; allocates
 * only for hits.
 */
public final class ScanEngine implements TapeListener {
  private static final int PRINTS_BETWEEN_READINGS = 1024;

  private static final SlidingSpan[] SPANS = SlidingSpan.values();

  private final Phases phases;
  private final SymbolState[] states;
  private final ScanBoard board;
  private final ExpiryWheel wheel;
  private final HitMaker hits;
  private final TriggerWatch.Fired fired = this::fire;
  private final TriggerWatch triggers;
  private final TopWatch tops;
  private final int triggerEffects;
  private final long entering;
  private final long leaving;
  private final ExpiryWheel newsWheel;
  private boolean keepsUp;
  private int second = (int) (DayTime.FIRST / DayTime.SECOND) - 1;
  private int phase;

  /**
   * Scans for a replay that stands before its first event; {@link TapeReplay#listen} lets them
   * begin.
   *
   * @param sink gets each hit on the replay's thread
   */
  public ScanEngine(TapeReplay replay, Program program, Consumer<Hit> sink) {
    Session session = replay.session();
    phases = session.phases();
    states = replay.states().toArray(SymbolState[]::new);
    board = new ScanBoard(program.scans(), session);
    entering = board.listening(Trigger.ENTERS);
    leaving = board.listening(Trigger.LEAVES);
    triggers = new TriggerWatch(program.scans(), board, session, states);
    tops = new TopWatch(program.scans(), board, session, states);
    replay.market().hearCorrections(triggers);
    triggerEffects = triggers.effects();
    wheel = new ExpiryWheel(states.length);
    newsWheel = new ExpiryWheel(states.length);
    hits = new HitMaker(replay, program.scans(), sink);
  }

  /** Whether a scan asks how often it has hit a security, so that its hits must be found first. */
  public static boolean followsHits(Scan scan) {
    return scan.fields().stream().anyMatch(RecentHits::isCountedBy);
  }

  /** A replay of a session through scans and levels, before its first event. */
  public static TapeReplay replay(Session session, Program program, Consumer<Hit> sink) {
    TapeReplay replay = new TapeReplay(session);
    Consumer<Hit> numbering = numbering(sink);
    TapeListener all = new ScanEngine(replay, program, numbering);
    if (!program.levels().isEmpty()) {
      all =
          TapeListener.both(
              all, new LevelHits(replay, program, (level, hit) -> numbering.accept(hit)));
    }
    if (!program.alerts().isEmpty()) {
      all = TapeListener.both(all, new AlertHits(replay, program.alerts(), numbering));
    }
    replay.listen(all);
    return replay;
  }

  private static Consumer<Hit> numbering(Consumer<Hit> sink) {
    int[] told = new int[1];
    return hit -> sink.accept(hit.numbered(told[0]++));
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

  @Override
  public void applied(SymbolState state, int effects, int event, long now) {
    int security = state.id();
    if (now < DayTime.FIRST) {
      scheduleMinute(state);
      return;
    }
    if ((effects & Effect.NEWS) != 0) {
      board.wake(security);
      scheduleMinute(state);
    }
    long due =
        effects == Effect.QUOTE
            ? board.dueAfterQuote(security, now)
            : board.dueAfterEvent(security);
    if (due != 0) {
      edges(state, due, now);
      awaitTime(state, now);
    }
    if ((effects & triggerEffects) != 0 || triggers.areOpen(security)) {
      triggers.after(state, effects, event, now, fired);
    }
    if (tops.isAsked()) {
      tops.changed(state, now);
      tops.settle(now, fired);
    }
    if (keepsUp && state.trades() % PRINTS_BETWEEN_READINGS == PRINTS_BETWEEN_READINGS - 1) {
      board.readAll(state, now);
    }
  }

  /**
   * What time alone changes: phases and windows that begin, sliding windows and minutes that run
   * out.
   */
  @Override
  public void second(long moment) {
    second = (int) (moment / DayTime.SECOND);
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
    triggers.second(moment, fired);
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

  /** Makes a hit of each scan that fits, and tells which these are. */
  private long fire(SymbolState state, Trigger trigger, long scans, long now) {
    long fitting = board.fitting(state, scans, now, phase);
    for (long left = fitting; left != 0; left &= left - 1) {
      scanHit(Long.numberOfTrailingZeros(left), state, trigger, now);
    }
    return fitting;
  }

  private void scanHit(int scan, SymbolState state, Trigger trigger, long now) {
    hits.make(board.check(scan).scan(), state, trigger, now);
  }

  /** The scans; only for the replay's own thread. */
  public ScanBoard board() {
    return board;
  }
}
