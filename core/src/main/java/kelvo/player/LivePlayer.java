package kelvo.player;

import kelvo.job.Progress;
import kelvo.view.MarketSnapshot;
import kelvo.hit.Program;
import kelvo.hit.MarketEngine;
import kelvo.view.SnapshotBuilder;
import kelvo.view.SnapshotRequest;

import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.LongSupplier;
import kelvo.hit.Hit;
import kelvo.time.DayTime;

/**
 * Plays a session that still goes on for a window: what comes is played at once and its hits are
 * told at once, whatever moment the window looks at.
 */
public final class LivePlayer implements Player {
  private static final long BETWEEN_SNAPSHOTS_MS = 40;

  /**
   * How long after its end a second is worked when no event has come: until then an event that is a
   * little late is still played in its place, as it will be when the recorded session is played.
   */
  private static final long PATIENCE = 2 * DayTime.SECOND;

  private final BlockingQueue<Runnable> commands = new LinkedBlockingQueue<>();
  private final LiveSource source;
  private final LongSupplier wallNanos;
  private final Consumer<MarketSnapshot> listener;
  private final Consumer<Hit> newHits;
  private final SnapshotBuilder builder;
  private final Thread thread;
  private SessionRun run;
  private MarketEngine looking;
  private SnapshotRequest request;
  private boolean following = true;
  private int hitsTold;
  private int eventsShown = -1;
  private boolean changed = true;
  private boolean stopped;

  /**
   * Starts the player's thread, following the session.
   *
   * @param run what was played of the session so far; belongs to the player from now on
   * @param listener gets every snapshot, on the player's thread
   * @param newHits gets each hit once, as soon as it is found, on the player's thread
   * @param wallNanos a clock that only measures how much time goes by
   */
  public LivePlayer(
      SessionRun run,
      LiveSource source,
      SnapshotRequest request,
      Consumer<MarketSnapshot> listener,
      Consumer<Hit> newHits,
      LongSupplier wallNanos) {
    this.run = run;
    this.source = source;
    this.request = request;
    this.listener = listener;
    this.newHits = newHits;
    this.wallNanos = wallNanos;
    looking = run.head();
    hitsTold = run.hits().size();
    builder = new SnapshotBuilder(run.session());
    thread = new Thread(this::loop, "engine");
    thread.setDaemon(true);
    source.onArrival(() -> commands.add(() -> {}));
    thread.start();
  }

  @Override
  public void seek(long moment) {
    commands.add(() -> lookAt(moment));
  }

  @Override
  public void speed(double times) {
    commands.add(() -> follow(times > 0));
  }

  @Override
  public void show(SnapshotRequest wanted) {
    commands.add(() -> request = wanted);
  }

  @Override
  public void play(Program program, long from) {
    commands.add(
        () -> {
          long now = looking.clock();
          boolean sameScans = program.scans().equals(run.program().scans());
          run = run.with(program, from, Progress.NONE);
          int hits = run.hits().size();
          hitsTold = sameScans ? Math.min(hitsTold, hits) : hits;
          if (following) {
            looking = run.head();
          } else {
            lookAt(now);
          }
        });
  }

  @Override
  public <T> void ask(Function<SessionRun, T> question, Consumer<T> answer) {
    commands.add(() -> answer.accept(question.apply(run)));
  }

  @Override
  public void close() {
    commands.add(() -> stopped = true);
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
    if (looking == run.head() || following) {
      looking = run.engine();
    }
    following = false;
    run.seek(looking, Math.max(moment, DayTime.FIRST));
  }

  private void loop() {
    long shownAt = wallNanos.getAsLong();
    try {
      while (!stopped) {
        Runnable command = commands.poll(BETWEEN_SNAPSHOTS_MS, TimeUnit.MILLISECONDS);
        while (command != null) {
          command.run();
          changed = true;
          command = commands.poll();
        }
        take();
        long now = wallNanos.getAsLong();
        if (changed && !stopped && now - shownAt >= BETWEEN_SNAPSHOTS_MS * 1_000_000) {
          shownAt = now;
          publish();
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void take() {
    long told = source.drain();
    run.grow(Progress.NONE);
    long clockBefore = run.head().clock();
    run.passTime(Math.min(told - PATIENCE, DayTime.LAST));
    List<Hit> hits = run.hits();
    for (Hit hit : hits.subList(hitsTold, hits.size())) {
      newHits.accept(hit);
    }
    changed |= hits.size() > hitsTold || run.head().clock() > clockBefore;
    changed |= run.head().events() != eventsShown && following;
    hitsTold = hits.size();
  }

  private void publish() {
    changed = false;
    eventsShown = run.head().events();
    listener.accept(builder.build(looking, request, run.hitsUntil(looking.clock())));
  }
}
