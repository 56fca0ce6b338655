package kelvo.data.past;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.SequencedMap;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * What was worked out of sessions and may be asked for again, for at most so many of them: what was
 * not asked for longest goes first. Any thread may use it.
 *
 * @param <V> what is kept of a session
 */
final class KeptByDate<V> {
  private static final float USUAL_LOAD = 0.75f;

  /** In the order in which they were asked for; guarded by itself. */
  private final SequencedMap<LocalDate, V> kept = new LinkedHashMap<>(16, USUAL_LOAD, true);

  private final int most;

  /** Nothing yet, and never more than {@code most}. */
  KeptByDate(int most) {
    this.most = most;
  }

  /** What is kept of a session; null without any. */
  @Nullable V get(LocalDate date) {
    synchronized (kept) {
      return kept.get(date);
    }
  }

  /** Keeps something in place of what was kept. */
  void put(LocalDate date, V value) {
    synchronized (kept) {
      kept.put(date, value);
      dropOldest();
    }
  }

  /** Keeps what is made of the value that was kept, or of another one where none was. */
  void change(LocalDate date, V otherwise, UnaryOperator<V> change) {
    synchronized (kept) {
      kept.put(date, change.apply(kept.getOrDefault(date, otherwise)));
      dropOldest();
    }
  }

  private void dropOldest() {
    while (kept.size() > most) {
      kept.pollFirstEntry();
    }
  }
}
