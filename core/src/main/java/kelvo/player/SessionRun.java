package kelvo.player;

import kelvo.job.Progress;
import kelvo.hit.HitLog;
import kelvo.hit.Checkpoint;
import kelvo.hit.Program;
import kelvo.hit.MarketEngine;

import java.util.ArrayList;
import java.util.List;
import kelvo.session.Session;
import kelvo.hit.Hit;
import kelvo.time.DayTime;

/**
 * A session played through a program: every hit, and checkpoints from which any moment is reached
 * quickly. While the session still goes on, the run belongs to the thread that appends to the tape;
 * once it is {@link #of whole}, any thread may use it.
 */
public final class SessionRun {
  private static final int LEAST_EVENTS_BETWEEN = 100_000;
  private static final int MOST_CHECKPOINTS = 48;
  private static final int EVENTS_BETWEEN_PROGRESS = 1 << 16;

  private final Session session;
  private final Program program;
  private final MarketEngine head;
  private final List<Checkpoint> checkpoints;
  private final HitLog hits;
  private int eventsBetween = LEAST_EVENTS_BETWEEN;
  private boolean goesOn;

  private SessionRun(Session session, Program program) {
    this.session = session;
    this.program = program;
    hits = new HitLog();
    head = new MarketEngine(session, program, hits::add);
    checkpoints = new ArrayList<>(List.of(head.checkpoint()));
  }

  /** A run that another program continues from a checkpoint of it. */
  private SessionRun(SessionRun earlier, Program program, Checkpoint from) {
    session = earlier.session;
    this.program = program;
    eventsBetween = earlier.eventsBetween;
    hits = new HitLog();
    earlier.hits.first(from.hits()).forEach(hits::add);
    head = new MarketEngine(session, program, hits::add);
    head.restore(from);
    int kept = earlier.checkpoints.indexOf(from) + 1;
    checkpoints = new ArrayList<>(earlier.checkpoints.subList(0, kept));
  }

  /** Plays a whole session. */
  public static SessionRun of(Session session, Program program, Progress progress) {
    SessionRun run = new SessionRun(session, program);
    run.grow(progress);
    run.head.runTo(DayTime.LAST);
    return run;
  }

  /** Plays what there is of a session that still goes on. */
  public static SessionRun begun(Session session, Program program, Progress progress) {
    SessionRun run = new SessionRun(session, program);
    run.goOn();
    run.grow(progress);
    return run;
  }

  private void goOn() {
    goesOn = true;
    head.keepUp();
  }

  /** Plays the events that have been appended to the tape since. */
  public void grow(Progress progress) {
    int size = session.tape().size();
    while (head.events() < size) {
      head.step();
      if (head.events() >= checkpoints.getLast().events() + eventsBetween) {
        keepCheckpoint();
      }
      if (head.events() % EVENTS_BETWEEN_PROGRESS == 0) {
        progress.done(head.events() / (double) size);
      }
    }
    progress.done(1);
  }

  /** Takes a checkpoint; when there are too many, every other one goes and the next come rarer. */
  private void keepCheckpoint() {
    checkpoints.add(head.checkpoint());
    if (checkpoints.size() > MOST_CHECKPOINTS) {
      for (int i = checkpoints.size() - 2; i > 0; i -= 2) {
        checkpoints.remove(i);
      }
      eventsBetween *= 2;
    }
  }

  /** Lets time pass up to a moment, past which no event is expected any more. */
  public void passTime(long moment) {
    if (moment > head.clock()) {
      head.runTo(moment);
    }
  }

  /**
   * The same session through another program. When only levels were set or removed, only what comes
   * after {@code from} is played again; other scans are played from the start.
   */
  public SessionRun with(Program changed, long from, Progress progress) {
    SessionRun run =
        changed.scans().equals(program.scans())
            ? new SessionRun(this, changed, before(from))
            : new SessionRun(session, changed);
    if (goesOn) {
      run.goOn();
    }
    run.grow(progress);
    run.passTime(head.clock());
    return run;
  }

  /** The session that was played. */
  public Session session() {
    return session;
  }

  /** What was looked for. */
  public Program program() {
    return program;
  }

  /** The engine at the end of what has been played; never to be sought with. */
  public MarketEngine head() {
    return head;
  }

  /** All hits so far, in order. For review; screens ask for {@link #hitsUntil}. */
  public List<Hit> hits() {
    return hits.all();
  }

  /** The hits up to and including a moment. */
  public List<Hit> hitsUntil(long moment) {
    return hits.until(moment);
  }

  /** A new engine for {@link #seek}; its hits are those of this run. */
  public MarketEngine engine() {
    return new MarketEngine(session, program, hit -> {});
  }

  /** Brings an engine made by {@link #engine} to a moment, from wherever it is. */
  public void seek(MarketEngine engine, long moment) {
    Checkpoint start = before(moment);
    boolean ahead = engine.clock() > moment;
    if (ahead || engine.events() < start.events()) {
      engine.restore(start);
    }
    engine.runTo(moment);
  }

  private Checkpoint before(long moment) {
    Checkpoint found = checkpoints.getFirst();
    for (Checkpoint checkpoint : checkpoints) {
      if (checkpoint.clock() <= moment) {
        found = checkpoint;
      }
    }
    return found;
  }
}
