package kelvo.desktop.shell;

import java.time.Duration;
import org.jspecify.annotations.Nullable;

/**
 * The saving of a day that is left, on a thread of its own, so that the window can say so
 * meanwhile, and so that a process which is told to end can wait for it.
 */
final class Saving {
  private volatile @Nullable Thread newest;

  /** Begins to save; what was begun before has ended by then. */
  void begin(Runnable work) {
    Thread thread = new Thread(work, "closing");
    newest = thread;
    thread.start();
  }

  /**
   * Waits for what was begun last. Any thread may wait.
   *
   * @return whether all is saved; false when it took longer, or when waiting was interrupted
   */
  boolean await(Duration longest) {
    Thread saving = newest;
    try {
      return saving == null || saving.join(longest);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
  }
}
