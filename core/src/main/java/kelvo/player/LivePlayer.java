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
import kelvo.job.Progress;
import kelvo.replay.TapeReplay;
import kelvo.time.DayTime;
import kelvo.view.Moment;
import kelvo.view.View;

/**
 * Plays a session that still goes on for a window: what comes is played at once and its hits are
 * told at once, whatever moment the window looks at. Other scans and levels are replayed on a
 * thread of their own, while events are still taken.
 */
public final class LivePlayer implements Player {
  private static final long BETWEEN_LOOKS_MS = 40;

  /**
   * How long after its end a second is worked when no event has come: until then an event that is a
   * little late is still played in its place, as it will be when the recorded session is played.
   */
  private static final long ALLOWED_DELAY = 2 * DayTime.SECOND;

  private final Followers followers;
  private final Commands commands;
  private final LiveSource source;
  private final LongSupplier wallNanos;
  private final Thread thread;
  private final ExecutorService replays =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("replay").factory());
  private final LatestAnswer changes;
  private SessionRun run;
  private TapeReplay looking;
  private int program;
  private boolean following = true;
  private int hitsTold;
  private int eventsShown = -1;
  private boolean changed = true;
  private boolean stopped;

  /**
   * Starts the player's thread, following the session. The hits of what was played before are told
   * too: who heard of them then may have been killed before they were kept.
   *
   * @param run what was played of the session so far; belongs to the player from now on
   * @param wallNanos a clock that only measures how much time goes by
   */
  public LivePlayer(
      SessionRun run, LiveSource source, PlayerListener listener, LongSupplier wallNanos) {
    this.run = run;
    this.source = source;
    this.wallNanos = wallNanos;
    followers = new Followers(listener);
    commands = new Commands(followers);
    looking = run.head();
    changes =
        new LatestAnswer(
            replays,
            action -> commands.add("taking over other scans", action),
            e -> followers.trouble("replaying other scans or levels", e));
    thread = new Thread(this::loop, "engine");
    thread.setDaemon(true);
    source.onArrival(commands::wake);
    thread.start();
  }

  @Override
  public void seek(long moment) {
    commands.add("going to " + DayTime.seconds(moment), () -> lookAt(moment));
  }

  @Override
  public void speed(double times) {
    commands.add("going to now or standing still", () -> follow(times > 0));
  }

  @Override
  public void play(Program wanted) {
    commands.add(
        "replaying other scans or levels",
        () -> {
          ProgramChange change = run.changeTo(wanted);
          changes.askInstead(
              stop -> {
                change.play(stop);
                return change;
              },
              this::use);
        });
  }

  private void use(ProgramChange change) {
    boolean sameScans = change.keepsScans();
    run.grow(Progress.NONE);
    run = run.take(change);
    program++;
    hitsTold = sameScans ? Math.min(hitsTold, run.hits().size()) : run.hits().size();
    if (following) {
      looking = run.head();
    } else {
      run.tellHitsIn(looking);
    }
  }

  @Override
  public <T> Following follow(View<T> view, Consumer<T> to) {
    Following more = followers.add(view, to);
    commands.add("showing a view", () -> changed = true);
    return more;
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

  private void follow(boolean wanted) {
    if (wanted) {
      looking = run.head();
    } else if (following) {
      lookAt(run.head().clock());
    }
    following = wanted;
  }

  private void lookAt(long moment) {
    if (moment >= run.head().clock()) {
      follow(true);
      return;
    }
    if (following) {
      looking = run.replay();
    }
    following = false;
    run.seek(looking, Math.max(moment, DayTime.FIRST));
  }

  private void loop() {
    long shownAt = wallNanos.getAsLong();
    try {
      while (!stopped) {
        changed |= commands.work(BETWEEN_LOOKS_MS);
        followers.guarded("taking what the feed has brought", this::take);
        long now = wallNanos.getAsLong();
        if (changed && !stopped && now - shownAt >= BETWEEN_LOOKS_MS * 1_000_000) {
          shownAt = now;
          publish();
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (Throwable e) {
      followers.stopped(e);
    }
  }

  private void take() {
    long told = source.drain();
    run.grow(Progress.NONE);
    long clockBefore = run.head().clock();
    run.passTime(Math.min(told - ALLOWED_DELAY, DayTime.LAST));
    List<Hit> hits = run.hits();
    followers.hits(hits.subList(Math.min(hitsTold, hits.size()), hits.size()));
    changed |= hits.size() > hitsTold || run.head().clock() > clockBefore;
    changed |= run.head().events() != eventsShown && following;
    hitsTold = hits.size();
  }

  private void publish() {
    changed = false;
    eventsShown = run.head().events();
    followers.publish(new Moment(looking, run.hitsUntil(looking.clock()), program));
  }
}
