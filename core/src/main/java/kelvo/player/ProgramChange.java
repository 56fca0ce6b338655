package kelvo.player;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import kelvo.hit.HitLog;
import kelvo.hit.LevelHits;
import kelvo.hit.Program;
import kelvo.job.Progress;
import kelvo.level.Level;
import kelvo.replay.Checkpoints;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import org.jspecify.annotations.Nullable;

/**
 * Another program for a {@link SessionRun}, replayed apart from it: {@link #play} works on any
 * thread while the run goes on, and the run's owner takes the result over. Other scans and alerts
 * are replayed from the session's start, levels that were set or removed alone, from the checkpoint
 * before they were set.
 */
final class ProgramChange {
  private final Session session;
  private final Program program;
  private final Checkpoints checkpoints;
  private final boolean sameScans;
  private final List<Level> fresh;
  private final int eventsKnown;
  private final Map<Level, HitLog> found = new LinkedHashMap<>();

  /** The run through other scans; null while they are the same. */
  private @Nullable SessionRun other;

  private @Nullable TapeReplay replay;
  private @Nullable LevelHits levels;

  /** A change of a run, which must be made by the run's owner. */
  ProgramChange(SessionRun run, Checkpoints checkpoints, Program program) {
    session = run.session();
    this.checkpoints = checkpoints;
    this.program = program;
    sameScans =
        program.scans().equals(run.program().scans())
            && program.alerts().equals(run.program().alerts());
    fresh = new ArrayList<>(program.levels());
    fresh.removeAll(run.program().levels());
    eventsKnown = session.tape().size();
  }

  /** Replays what has changed, as far as the session went when the change was made. */
  void play(Progress progress) {
    if (!sameScans) {
      SessionRun run = new SessionRun(session, program);
      run.grow(eventsKnown, progress);
      other = run;
    } else if (!fresh.isEmpty()) {
      TapeReplay from = new TapeReplay(session);
      checkpoints.seekBefore(from, fresh.stream().mapToLong(Level::setAt).min().orElseThrow());
      fresh.forEach(level -> found.put(level, new HitLog()));
      LevelHits watched =
          new LevelHits(
              from,
              new Program(program.scans(), fresh),
              (level, hit) -> Objects.requireNonNull(found.get(level)).add(hit, from.events()));
      from.listen(watched);
      SessionRun.play(from, eventsKnown, progress, at -> {});
      levels = watched;
      replay = from;
    }
  }

  /** Lets the replay catch up with a run that has gone on meanwhile. */
  void catchUpWith(TapeReplay head) {
    if (replay != null) {
      replay.runToEvent(head.events());
      replay.runTo(head.clock());
    }
  }

  /** Whether only levels are others. */
  boolean keepsScans() {
    return sameScans;
  }

  Program program() {
    return program;
  }

  @Nullable SessionRun other() {
    return other;
  }

  /** What watches the levels that are new; null when there are none. */
  @Nullable LevelHits levels() {
    return levels;
  }

  /** The hits of the levels that are new. */
  Map<Level, HitLog> found() {
    return found;
  }
}
