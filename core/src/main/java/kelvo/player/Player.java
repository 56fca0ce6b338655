package kelvo.player;

import kelvo.hit.Program;
import kelvo.view.SnapshotRequest;

import java.util.function.Consumer;
import java.util.function.Function;

/**
 * What moves a window through a session: a thread of its own owns the engines and publishes
 * snapshots. All methods may be called from any thread and return at once, but {@link #close}.
 */
public sealed interface Player extends AutoCloseable permits SessionPlayer, LivePlayer {
  /** Goes to a moment and stays there, or goes on from there if it plays. */
  void seek(long moment);

  /**
   * Plays at so many times the speed of the day; 0 pauses. In a live session anything above 0 goes
   * to now and stays with it.
   */
  void speed(double times);

  /** Shows something else. */
  void show(SnapshotRequest wanted);

  /**
   * Looks for something else: other levels from a moment on, or other scans from the day's start.
   * Hits that other scans have had by now are listed but not told as new.
   */
  void play(Program changed, long from);

  /**
   * Asks something about the run, on the player's thread; the answer is handed over on that thread
   * too.
   */
  <T> void ask(Function<SessionRun, T> question, Consumer<T> answer);

  /** Stops the thread and waits for it. */
  @Override
  void close();
}
