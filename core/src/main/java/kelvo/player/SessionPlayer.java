package kelvo.player;

import java.util.ArrayDeque;
import java.util.Deque;
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
 * the market, another replays what other scans or levels find. A session that has not been played
 * yet is played on this thread between commands: a moment is shown once it has been reached,
 * questions about the day and other programs wait for its end.
 */
public final class SessionPlayer implements Player {
  private static final long BETWEEN_LOOKS_MS = 50;

  /** So many events take some milliseconds, after which commands are looked at. */
  private static final int EVENTS_AT_ONCE = 1 << 15;

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
  private final Deque<Runnable> whenPlayed = new ArrayDeque<>();
  private long wanted;
  private boolean changed;
  private boolean broken;
  private long anchorMoment;
  private long anchorWall;
  private int hitsTold;
  private boolean stopped;

  /**
   * Starts the player's thread, paused at a moment.
   *
   * @param run a whole session, played or not; belongs to the player from now on
   * @param wallNanos a clock that only measures how much time goes by
   */
  public SessionPlayer(
      SessionRun run, long moment, PlayerListener listener, LongSupplier wallNanos) {
    this.run = run;
    this.wallNanos = wallNanos;
    followers = new Followers(listener);
    commands = new Commands(followers);
    replay = run.replay();
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
          anchor();
          speed = times;
        });
  }

  @Override
  public void play(Program other) {
    commands.add(
        "replaying other scans or levels",
        () -> whenPlayed("replaying other scans or levels", () -> replay(other)));
  }

  private void replay(Program other) {
    ProgramChange change = run.changeTo(other);
    changes.askInstead(
        stop -> {
          change.play(stop);
          return change;
        },
        this::use);
  }

  private void use(ProgramChange change) {
    boolean sameScans = change.keepsScans();
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
    commands.add(
        "answering", () -> whenPlayed("answering", () -> answer.accept(question.apply(run))));
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
      tellPlayed();
      while (!stopped) {
        changed |= work() || speed > 0;
        if (!stopped) {
          followers.guarded("playing on", this::advance);
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (Throwable e) {
      followers.stopped(e);
    }
  }

  private void tellPlayed() {
    followers.played(isPlayed() ? DayTime.LAST : run.head().clock());
  }

  private boolean work() throws InterruptedException {
    if (!isPlayed()) {
      return commands.work(0);
    }
    if (speed > 0) {
      return commands.work(BETWEEN_LOOKS_MS);
    }
    commands.work();
    return true;
  }

  private boolean isPlayed() {
    return broken || run.isPlayed();
  }

  /** Does something once the whole day has been played. */
  private void whenPlayed(String what, Runnable action) {
    if (isPlayed()) {
      action.run();
    } else {
      whenPlayed.add(() -> followers.guarded(what, action));
    }
  }

  private void moveTo(long moment) {
    wanted = Math.clamp(moment, DayTime.FIRST, DayTime.LAST);
    anchor();
  }

  private void anchor() {
    anchorMoment = wanted;
    anchorWall = wallNanos.getAsLong();
  }

  private void advance() {
    if (speed > 0) {
      long gone = (long) ((wallNanos.getAsLong() - anchorWall) * speed);
      wanted = Math.min(DayTime.LAST, anchorMoment + gone);
    }
    if (!isPlayed()) {
      playDay();
    }
    if (changed && (isPlayed() || run.reaches(wanted))) {
      changed = false;
      run.seek(replay, wanted);
      publish();
    }
  }

  /**
   * Plays on towards the end of the day; what throws ends that, so that it is not tried for ever.
   */
  private void playDay() {
    try {
      run.playOn(EVENTS_AT_ONCE);
    } catch (RuntimeException | StackOverflowError e) {
      broken = true;
      followers.trouble("playing the day after " + DayTime.seconds(run.head().clock()), e);
    }
    tellPlayed();
    while (isPlayed() && !whenPlayed.isEmpty()) {
      whenPlayed.remove().run();
    }
  }

  private void publish() {
    List<Hit> hits = run.hitsUntil(replay.clock());
    followers.hits(hits.subList(Math.min(hitsTold, hits.size()), hits.size()));
    hitsTold = Math.max(hitsTold, hits.size());
    followers.publish(new Moment(replay, hits, program));
  }
}
