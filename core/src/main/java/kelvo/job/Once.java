package kelvo.job;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * What is worked out when it is first asked for, and not again. Whoever else asks meanwhile waits.
 * When it throws, the next one who asks tries again. Thread-safe.
 */
public final class Once<T> implements Supplier<T> {
  private final Supplier<T> work;
  private @Nullable T known;

  /** Nothing is worked out yet. */
  public Once(Supplier<T> work) {
    this.work = work;
  }

  @Override
  public synchronized T get() {
    T found = known;
    if (found == null) {
      found = work.get();
      known = found;
    }
    return found;
  }
}
