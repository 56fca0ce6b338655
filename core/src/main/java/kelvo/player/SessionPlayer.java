package kelvo.player;

import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.LongSupplier;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.job.LatestAnswer;
import kelvo.replay.TapeReplay;
import kelvo.time.DayTime;
import kelvo.view.Moment;
import kelvo.view.View;

/**
 * Plays a recorded session for a window: at any speed, from any moment. A thread of its own owns
 * the market, another replays what other scans or levels find.
 */
public final class SessionPlayer implements Player {
  private static final long BETWEEN_LOOKS_MS = 50;

  private final Followers followers;
  private final Commands commands;
  private final LongSupplier wallNanos;
  private final Thread thread;
  private final ExecutorService replays =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("replay").factory());
  private final LatestAnswer changes;
  private final TapeReplay replay;
  private SessionRun run;
  private int program;
  private double speed;
  private long anchorMoment;
  private long anchorWall;
  private int hitsTold;
  private boolean stopped;

  /**
   * Starts the player's thread, paused at a moment.
   *
   * @param run the whole session
   * @param wallNanos a clock that only measures how much time goes by
   */
  public SessionPlayer(
      SessionRun run, long moment, PlayerListener listener, LongSupplier wallNanos) {
    this.run = run;
    this.wallNanos = wallNanos;
    followers = new Followers(listener);
    commands = new Commands(followers);
    replay = run.replay();
    anchorMoment = moment;
    changes =
        new LatestAnswer(
            replays,
            action -> commands.add("taking over other scans", action),
            e -> followers.trouble("replaying other scans or levels", e));
    thread = new Thread(this::loop, "engine");
    thread.setDaemon(true);
    seek(moment);
    thread.start();
  }

  @Override
  public void seek(long moment) {
    commands.add("going to " + DayTime.seconds(moment), () -> moveTo(moment));
  }

  @Override
  public void speed(double times) {
    commands.add(
        "changing the speed",
        () -> {
          anchor(replay.clock());
          speed = times;
        });
  }

  @Override
  public void play(Program changed) {
    commands.add(
        "replaying other scans or levels",
        () -> {
          ProgramChange change = run.changeTo(changed);
          changes.askInstead(
              stop -> {
                change.play(stop);
                return change;
              },
              this::use);
        });
  }

  private void use(ProgramChange change) {
    boolean sameScans = change.program().scans().equals(run.program().scans());
    run = run.take(change);
    run.tellHitsIn(replay);
    program++;
    int hits = run.hitsUntil(replay.clock()).size();
    hitsTold = sameScans ? Math.min(hitsTold, hits) : hits;
  }

  @Override
  public <T> Following follow(View<T> view, Consumer<T> to) {
    Following following = followers.add(view, to);
    commands.wake();
    return following;
  }

  @Override
  public <T> void ask(Function<SessionRun, T> question, Consumer<T> answer) {
    commands.add("answering", () -> answer.accept(question.apply(run)));
  }

  @Override
  public void close() {
    commands.add("stopping", () -> stopped = true);
    replays.shutdownNow();
    try {
      thread.join();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void loop() {
    try {
      while (!stopped) {
        if (speed > 0) {
          commands.work(BETWEEN_LOOKS_MS);
        } else {
          commands.work();
        }
        if (!stopped) {
          followers.guarded("playing on", this::advance);
          publish();
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (Throwable e) {
      followers.stopped(e);
    }
  }

  private void moveTo(long moment) {
    run.seek(replay, Math.clamp(moment, DayTime.FIRST, DayTime.LAST));
    anchor(replay.clock());
  }

  private void anchor(long moment) {
    anchorMoment = moment;
    anchorWall = wallNanos.getAsLong();
  }

  private void advance() {
    if (speed > 0) {
      long gone = (long) ((wallNanos.getAsLong() - anchorWall) * speed);
      run.seek(replay, Math.min(DayTime.LAST, anchorMoment + gone));
    }
  }

  private void publish() {
    List<Hit> hits = run.hitsUntil(replay.clock());
    followers.hits(hits.subList(Math.min(hitsTold, hits.size()), hits.size()));
    hitsTold = Math.max(hitsTold, hits.size());
    followers.publish(new Moment(replay, hits, program));
  }
}
