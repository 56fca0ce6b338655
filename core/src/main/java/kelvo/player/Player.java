package kelvo.player;

import java.util.function.Consumer;
import java.util.function.Function;
import kelvo.hit.Program;
import kelvo.view.View;

/**
 * What moves a window through a session: a thread of its own owns the market and answers views. All
 * methods may be called from any thread and return at once, but {@link #close}. Nothing that a
 * command, a view or a listener throws ends the player: it is told to the {@link PlayerListener}.
 */
public sealed interface Player extends AutoCloseable permits SessionPlayer, LivePlayer {
  /** Goes to a moment and stays there, or goes on from there if it plays. */
  void seek(long moment);

  /**
   * Plays at so many times the speed of the day; 0 pauses. In a live session anything above 0 goes
   * to now and stays with it.
   */
  void speed(double times);

  /**
   * Looks for something else: other levels or other scans. That is replayed apart from the player's
   * thread; of several changes only the last is. Hits that it has had by now are listed but not
   * told as new.
   */
  void play(Program changed);

  /**
   * Follows a view from the moment shown on, until the following is closed.
   *
   * @param listener gets every answer, on the player's thread
   */
  <T> Following follow(View<T> view, Consumer<T> listener);

  /**
   * Asks something about the run, on the player's thread; the answer is handed over on that thread
   * too.
   */
  <T> void ask(Function<SessionRun, T> question, Consumer<T> answer);

  /** Stops the thread and waits for it. */
  @Override
  void close();

  /** A view that is being followed. Any thread may close it; a moment's answer may still come. */
  interface Following extends AutoCloseable {
    @Override
    void close();
  }
}
