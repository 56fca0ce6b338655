package kelvo.desktop.workspace;

import java.util.function.LongSupplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.jspecify.annotations.Nullable;

/**
 * Whether somebody is at the windows: keys and the mouse say so. Who comes back after two minutes
 * was away in between. Only for the window's thread.
 */
public final class Presence {
  private static final long AWAY_FROM = 120_000_000_000L;

  private final LongSupplier nanoTime;
  private final LongSupplier now;
  private final ReadOnlyObjectWrapper<@Nullable Away> away = new ReadOnlyObjectWrapper<>();
  private long touchedAt;
  private long touchedMoment;

  /**
   * A time during which nobody was there.
   *
   * @param from {@link kelvo.time.DayTime}
   * @param until likewise
   */
  public record Away(long from, long until) {}

  /**
   * Somebody is there.
   *
   * @param nanoTime the time that passes, nanoseconds
   * @param now the moment of the day shown
   */
  Presence(LongSupplier nanoTime, LongSupplier now) {
    this.nanoTime = nanoTime;
    this.now = now;
    touchedAt = nanoTime.getAsLong();
    touchedMoment = now.getAsLong();
  }

  /** A key or the mouse has been used. */
  public void touched() {
    long time = nanoTime.getAsLong();
    long moment = now.getAsLong();
    boolean wasAway = time - touchedAt >= AWAY_FROM && moment > touchedMoment;
    touchedAt = time;
    if (wasAway) {
      Away before = away.get();
      boolean goesOn = before != null && before.until() <= moment;
      away.set(new Away(goesOn && before != null ? before.from() : touchedMoment, moment));
    }
    touchedMoment = moment;
  }

  /** The time away that has not been looked through yet; null for none. */
  public ReadOnlyObjectProperty<@Nullable Away> away() {
    return away.getReadOnlyProperty();
  }

  /** What happened meanwhile has been looked through. */
  public void lookedThrough() {
    away.set(null);
  }
}
