package kelvo.engine;

import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.LongSupplier;
import kelvo.scan.Hit;
import kelvo.time.DayTime;

/**
 * Plays a recorded session for a window: at any speed, from any moment. A thread of its own owns
 * the engine and publishes snapshots; all methods may be called from any thread.
 */
public final class SessionPlayer implements AutoCloseable {
  private static final long BETWEEN_SNAPSHOTS_MS = 50;

  private interface Command {
    void run();
  }

  private final BlockingQueue<Command> commands = new LinkedBlockingQueue<>();
  private final LongSupplier wallNanos;
  private final Consumer<MarketSnapshot> listener;
  private final Consumer<Hit> newHits;
  private final Thread thread;
  private final SnapshotBuilder builder;
  private SessionRun run;
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

  /** Goes to a moment and stays there, or goes on playing from there. */
  public void seek(long moment) {
    commands.add(() -> moveTo(moment));
  }

  /** Plays at so many times the speed of the day; 0 pauses. */
  public void speed(double times) {
    commands.add(
        () -> {
          anchor(engine.clock());
          speed = times;
        });
  }

  /** Shows something else. */
  public void show(SnapshotRequest wanted) {
    commands.add(() -> request = wanted);
  }

  /** Goes on with a run of the same session whose levels or scans are others. */
  public void use(SessionRun changed) {
    commands.add(
        () -> {
          long now = engine.clock();
          run = changed;
          engine = changed.engine();
          hitsTold = Math.min(hitsTold, changed.hitsUntil(now).size());
          moveTo(now);
        });
  }

  /** Stops the thread and waits for it. */
  @Override
  public void close() {
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
        Command command =
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
