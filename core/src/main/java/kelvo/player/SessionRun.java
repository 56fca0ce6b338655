package kelvo.player;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import kelvo.hit.AlertHits;
import kelvo.hit.Hit;
import kelvo.hit.HitLog;
import kelvo.hit.LevelHits;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.job.Progress;
import kelvo.level.Level;
import kelvo.replay.Checkpoints;
import kelvo.replay.Seekable;
import kelvo.replay.TapeListener;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.time.DayTime;

/**
 * A session played through a program: every hit, and checkpoints from which any moment is reached
 * quickly. Owned by one thread, which alone may let it grow or {@link #take} a change; of a session
 * that is played to its end, any thread may ask. The hits of scans and alerts and those of each
 * level are kept apart, so that another level needs no scan again.
 */
public final class SessionRun implements Seekable {
  private static final int EVENTS_BETWEEN_PROGRESS = 1 << 16;

  private final Session session;
  private final TapeReplay head;
  private final ScanEngine scans;
  private final AlertHits alerts;
  private final Checkpoints checkpoints;
  private final HitLog scanHits = new HitLog();
  private final List<LevelHits> levels = new ArrayList<>();
  private Map<Level, HitLog> levelHits = new LinkedHashMap<>();

  /** All hits, in the order of the tape. */
  private HitLog hits = new HitLog();

  private Program program;

  /** A run before the first event. */
  SessionRun(Session session, Program program) {
    this.session = session;
    this.program = program;
    head = new TapeReplay(session);
    checkpoints = new Checkpoints(head);
    scans = new ScanEngine(head, program, this::scanHit);
    alerts = new AlertHits(head, program.alerts(), this::scanHit);
    program.levels().forEach(level -> levelHits.put(level, new HitLog()));
    if (!program.levels().isEmpty()) {
      levels.add(new LevelHits(head, program, this::levelHit));
    }
    listen();
  }

  private void listen() {
    TapeListener all = program.alerts().isEmpty() ? scans : TapeListener.both(scans, alerts);
    for (LevelHits more : levels) {
      all = TapeListener.both(all, more);
    }
    head.listen(all);
  }

  private void scanHit(Hit hit) {
    scanHits.add(hit, head.events());
    hits.add(hit, head.events());
  }

  private void levelHit(Level level, Hit hit) {
    HitLog own = levelHits.get(level);
    if (own != null) {
      own.add(hit, head.events());
      hits.add(hit, head.events());
    }
  }

  /** Plays a whole session. */
  public static SessionRun of(Session session, Program program, Progress progress) {
    SessionRun run = new SessionRun(session, program);
    run.playToEnd(progress);
    return run;
  }

  /** A whole session that is yet to be played. */
  public static SessionRun unplayed(Session session, Program program) {
    return new SessionRun(session, program);
  }

  /** Plays what is left of a whole session. */
  public void playToEnd(Progress progress) {
    grow(progress);
    head.runTo(DayTime.LAST);
  }

  /** Plays some more events of a whole session, or what is left of it. */
  void playOn(int events) {
    int until = Math.min(session.tape().size(), head.events() + events);
    grow(until, Progress.NONE);
    if (until == session.tape().size()) {
      head.runTo(DayTime.LAST);
    }
  }

  /** Whether all that has happened by a moment has been played. */
  boolean reaches(long moment) {
    return head.clock() > moment || isPlayed();
  }

  /** Whether a whole session has been played to its end. */
  boolean isPlayed() {
    return head.clock() >= DayTime.LAST && head.events() == session.tape().size();
  }

  /** Plays what there is of a session that still goes on. */
  public static SessionRun begun(Session session, Program program, Progress progress) {
    SessionRun run = new SessionRun(session, program);
    run.keepUp();
    run.grow(progress);
    return run;
  }

  private void keepUp() {
    scans.keepUp();
    alerts.keepUp();
  }

  /** Plays the events that have been appended to the tape since. */
  public void grow(Progress progress) {
    grow(session.tape().size(), progress);
  }

  void grow(int events, Progress progress) {
    play(head, events, progress, checkpoints::keep);
  }

  /** Plays the first events of a tape; {@code after} is told after each. */
  static void play(TapeReplay replay, int events, Progress progress, Consumer<TapeReplay> after) {
    while (replay.events() < events) {
      replay.step();
      after.accept(replay);
      if (replay.events() % EVENTS_BETWEEN_PROGRESS == 0) {
        progress.done(replay.events() / (double) events);
      }
    }
    progress.done(1);
  }

  /** Lets time pass up to a moment, past which no event is expected any more. */
  public void passTime(long moment) {
    if (moment > head.clock()) {
      head.runTo(moment);
    }
  }

  /** Another program, to be played apart from this run. */
  ProgramChange changeTo(Program changed) {
    return new ProgramChange(this, checkpoints.now(), changed);
  }

  /** The run with a change that has been played; this one must not be used any more. */
  SessionRun take(ProgramChange change) {
    SessionRun other = change.other();
    if (other != null) {
      other.keepUp();
      other.grow(Progress.NONE);
      other.passTime(head.clock());
      return other;
    }
    change.catchUpWith(head);
    Map<Level, HitLog> known = new LinkedHashMap<>();
    change.program().levels().forEach(level -> known.put(level, logOf(level, change)));
    levelHits = known;
    program = change.program();
    if (change.levels() != null) {
      levels.add(change.levels());
      listen();
    }
    List<HitLog> logs = new ArrayList<>(List.of(scanHits));
    logs.addAll(known.values());
    hits = HitLog.merged(logs);
    return this;
  }

  private HitLog logOf(Level level, ProgramChange change) {
    HitLog known = levelHits.get(level);
    return known != null ? known : change.found().getOrDefault(level, new HitLog());
  }

  /** This run with another program. */
  public SessionRun with(Program changed, Progress progress) {
    ProgramChange change = changeTo(changed);
    change.play(progress);
    return take(change);
  }

  @Override
  public Session session() {
    return session;
  }

  /** What was looked for. */
  public Program program() {
    return program;
  }

  /** The replay at the end of what has been played; never to be sought with. */
  public TapeReplay head() {
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

  @Override
  public TapeReplay replay() {
    TapeReplay replay = new TapeReplay(session);
    tellHitsIn(replay);
    return replay;
  }

  /** From now on a replay that {@link #seek} moves knows the hits of this run, and of no other. */
  void tellHitsIn(TapeReplay replay) {
    replay.market().hitCounts(this::count);
  }

  private int count(String scan, int security, long after, long until) {
    int count = 0;
    List<Hit> known = hits.until(until);
    for (int i = known.size() - 1; i >= 0 && known.get(i).at() > after; i--) {
      count += known.get(i).security() == security && known.get(i).scan().equals(scan) ? 1 : 0;
    }
    return count;
  }

  @Override
  public void seek(TapeReplay replay, long moment) {
    checkpoints.seek(replay, moment);
  }
}
