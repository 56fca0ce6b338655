package kelvo.player;

import kelvo.job.Progress;
import kelvo.view.MarketSnapshot;
import kelvo.hit.Program;
import kelvo.hit.MarketEngine;
import kelvo.view.SnapshotBuilder;
import kelvo.view.SnapshotRequest;

import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.LongSupplier;
import kelvo.hit.Hit;
import kelvo.time.DayTime;

/**
 * Plays a recorded session for a window: at any speed, from any moment. A thread of its own owns
 * the engine, another plays the session again when levels have changed.
 */
public final class SessionPlayer implements Player {
  private static final long BETWEEN_SNAPSHOTS_MS = 50;

  private final BlockingQueue<Runnable> commands = new LinkedBlockingQueue<>();
  private final LongSupplier wallNanos;
  private final Consumer<MarketSnapshot> listener;
  private final Consumer<Hit> newHits;
  private final Thread thread;
  private final SnapshotBuilder builder;
  private final ExecutorService replays =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("replay").factory());
  private SessionRun run;

  /** With the newest levels; belongs to the thread that plays again. */
  private SessionRun replayed;

  private MarketEngine engine;
  private SnapshotRequest request;
  private double speed;
  private long anchorMoment;
  private long anchorWall;
  private int hitsTold;
  private boolean stopped;

  /**
   * Starts the player's thread, paused at a moment.
   *
   * @param listener gets every snapshot, on the player's thread
   * @param newHits gets each hit once when the clock first passes it, on the player's thread
   * @param wallNanos a clock that only measures how much time goes by
   */
  public SessionPlayer(
      SessionRun run,
      long moment,
      SnapshotRequest request,
      Consumer<MarketSnapshot> listener,
      Consumer<Hit> newHits,
      LongSupplier wallNanos) {
    this.run = run;
    replayed = run;
    this.request = request;
    this.listener = listener;
    this.newHits = newHits;
    this.wallNanos = wallNanos;
    engine = run.engine();
    builder = new SnapshotBuilder(run.session());
    anchorMoment = moment;
    thread = new Thread(this::loop, "engine");
    thread.setDaemon(true);
    commands.add(() -> moveTo(moment));
    thread.start();
  }

  @Override
  public void seek(long moment) {
    commands.add(() -> moveTo(moment));
  }

  @Override
  public void speed(double times) {
    commands.add(
        () -> {
          anchor(engine.clock());
          speed = times;
        });
  }

  @Override
  public void show(SnapshotRequest wanted) {
    commands.add(() -> request = wanted);
  }

  @Override
  public void play(Program program, long from) {
    replays.execute(
        () -> {
          SessionRun changed = replayed.with(program, from, Progress.NONE);
          replayed = changed;
          commands.add(() -> use(changed));
        });
  }

  private void use(SessionRun changed) {
    long now = engine.clock();
    boolean sameScans = changed.program().scans().equals(run.program().scans());
    run = changed;
    engine = changed.engine();
    int hits = changed.hitsUntil(now).size();
    hitsTold = sameScans ? Math.min(hitsTold, hits) : hits;
    moveTo(now);
  }

  @Override
  public <T> void ask(Function<SessionRun, T> question, Consumer<T> answer) {
    commands.add(() -> answer.accept(question.apply(run)));
  }

  @Override
  public void close() {
    replays.shutdown();
    commands.add(() -> stopped = true);
    try {
      thread.join();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void loop() {
    try {
      while (!stopped) {
        Runnable command =
            speed > 0
                ? commands.poll(BETWEEN_SNAPSHOTS_MS, TimeUnit.MILLISECONDS)
                : commands.take();
        while (command != null) {
          command.run();
          command = commands.poll();
        }
        if (!stopped) {
          advance();
          publish();
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void moveTo(long moment) {
    run.seek(engine, Math.clamp(moment, DayTime.FIRST, DayTime.LAST));
    anchor(engine.clock());
  }

  private void anchor(long moment) {
    anchorMoment = moment;
    anchorWall = wallNanos.getAsLong();
  }

  private void advance() {
    if (speed > 0) {
      long gone = (long) ((wallNanos.getAsLong() - anchorWall) * speed);
      run.seek(engine, Math.min(DayTime.LAST, anchorMoment + gone));
    }
  }

  private void publish() {
    var hits = run.hitsUntil(engine.clock());
    for (Hit hit : hits.subList(Math.min(hitsTold, hits.size()), hits.size())) {
      newHits.accept(hit);
    }
    hitsTold = Math.max(hitsTold, hits.size());
    listener.accept(builder.build(engine, request, hits));
  }
}
