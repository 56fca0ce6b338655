package kelvo.data.timing;

import java.io.PrintStream;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;

/**
 * How long each part of a command or of the window's start takes, one line for each part; for
 * measurements, which ask for it with the system property {@code kelvo.timeline}. Silent otherwise.
 * For one thread.
 */
public final class Timeline {
  private static final String PROPERTY = "kelvo.timeline";
  private static final double NANOS_IN_MS = 1e6;

  private final PrintStream out;
  private final boolean isWanted = Boolean.getBoolean(PROPERTY);
  private long begun = System.nanoTime();

  private Timeline(PrintStream out) {
    this.out = out;
  }

  /** A timeline that has told how long it took from the start of the process until now. */
  public static Timeline sinceStart(PrintStream out) {
    Timeline timeline = new Timeline(out);
    if (timeline.isWanted) {
      ProcessHandle.current()
          .info()
          .startInstant()
          .map(start -> Duration.between(start, Instant.now()).toNanos())
          .ifPresent(nanos -> timeline.tell("start", nanos));
    }
    return timeline;
  }

  /** A part has ended, and the next begins. */
  public void done(String part) {
    long now = System.nanoTime();
    if (isWanted) {
      tell(part, now - begun);
    }
    begun = now;
  }

  private void tell(String part, long nanos) {
    out.printf(Locale.ROOT, "timeline: %s %.0f ms%n", part, nanos / NANOS_IN_MS);
  }
}
