package kelvo.engine;

import java.util.ArrayList;
import java.util.List;
import kelvo.market.Session;
import kelvo.scan.Hit;
import kelvo.time.DayTime;

/**
 * A recorded session played once through a program: every hit, and checkpoints from which any
 * moment is reached quickly. Immutable; any thread may use it.
 */
public final class SessionRun {
  private static final int LEAST_EVENTS_BETWEEN = 100_000;
  private static final int MOST_CHECKPOINTS = 48;
  private static final int EVENTS_BETWEEN_PROGRESS = 1 << 16;

  private final Session session;
  private final Program program;
  private final List<Checkpoint> checkpoints;
  private final List<Hit> hits;

  private SessionRun(
      Session session, Program program, List<Checkpoint> checkpoints, List<Hit> hits) {
    this.session = session;
    this.program = program;
    this.checkpoints = List.copyOf(checkpoints);
    this.hits = List.copyOf(hits);
  }

  /** Plays a whole session. */
  public static SessionRun of(Session session, Program program, Progress progress) {
    List<Hit> hits = new ArrayList<>();
    MarketEngine engine = new MarketEngine(session, program, hits::add);
    List<Checkpoint> checkpoints = new ArrayList<>(List.of(engine.checkpoint()));
    return finish(engine, program, checkpoints, hits, progress);
  }

  /**
   * The same session with levels set or removed at a moment: only what comes after is played again.
   *
   * @param changed the new program; its scans must be those of this run
   */
  public SessionRun withLevels(Program changed, long from, Progress progress) {
    if (!changed.scans().equals(program.scans())) {
      throw new IllegalArgumentException("only levels can change in a run");
    }
    Checkpoint start = before(from);
    List<Hit> kept = new ArrayList<>(hits.subList(0, start.hits()));
    MarketEngine engine = new MarketEngine(session, changed, kept::add);
    engine.restore(start);
    List<Checkpoint> earlier =
        new ArrayList<>(checkpoints.subList(0, checkpoints.indexOf(start) + 1));
    return finish(engine, changed, earlier, kept, progress);
  }

  private static SessionRun finish(
      MarketEngine engine,
      Program program,
      List<Checkpoint> checkpoints,
      List<Hit> hits,
      Progress progress) {
    int size = engine.session().tape().size();
    int between = Math.max(LEAST_EVENTS_BETWEEN, size / MOST_CHECKPOINTS);
    int next = checkpoints.getLast().events() + between;
    while (engine.events() < size) {
      engine.step();
      if (engine.events() >= next) {
        checkpoints.add(engine.checkpoint());
        next += between;
      }
      if (engine.events() % EVENTS_BETWEEN_PROGRESS == 0) {
        progress.done(engine.events() / (double) size);
      }
    }
    engine.runTo(DayTime.LAST);
    progress.done(1);
    return new SessionRun(engine.session(), program, checkpoints, hits);
  }

  /** The session that was played. */
  public Session session() {
    return session;
  }

  /** What was looked for. */
  public Program program() {
    return program;
  }

  /** All hits of the session, in order. For review; screens ask for {@link #hitsUntil}. */
  public List<Hit> hits() {
    return hits;
  }

  /** The hits up to and including a moment. */
  public List<Hit> hitsUntil(long moment) {
    int low = 0;
    int high = hits.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (hits.get(middle).at() <= moment) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return hits.subList(0, low);
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
