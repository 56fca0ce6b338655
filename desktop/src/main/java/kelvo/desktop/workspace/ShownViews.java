package kelvo.desktop.workspace;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executor;
import java.util.function.Consumer;

/**
 * Brings what a player shows to the window: all answers of one moment together, and of several
 * moments that come before the window has time only the newest answer of each view. The player's
 * thread puts, the window's thread takes.
 */
final class ShownViews {
  private final Executor window;
  private final Consumer<Throwable> failed;

  /** What the moment being published has shown so far; only for the player's thread. */
  private final Map<Object, Runnable> collected = new LinkedHashMap<>();

  /** What the window has not taken yet; guarded by itself. */
  private final Map<Object, Runnable> pending = new LinkedHashMap<>();

  /**
   * Nothing to show yet.
   *
   * @param failed hears, on the window's thread, of a part that could not show its answer
   */
  ShownViews(Executor window, Consumer<Throwable> failed) {
    this.window = window;
    this.failed = failed;
  }

  /** What takes a view's answers on the player's thread and shows the newest in the window. */
  <T> Consumer<T> to(Consumer<T> part) {
    Object key = new Object();
    return answer -> collected.put(key, () -> part.accept(answer));
  }

  /** A moment is complete; on the player's thread. */
  void published() {
    if (collected.isEmpty()) {
      return;
    }
    boolean asleep;
    synchronized (pending) {
      asleep = pending.isEmpty();
      pending.putAll(collected);
    }
    collected.clear();
    if (asleep) {
      window.execute(this::show);
    }
  }

  private void show() {
    List<Runnable> newest;
    synchronized (pending) {
      newest = List.copyOf(pending.values());
      pending.clear();
    }
    for (Runnable one : newest) {
      try {
        one.run();
      } catch (RuntimeException e) {
        failed.accept(e);
      }
    }
  }
}
