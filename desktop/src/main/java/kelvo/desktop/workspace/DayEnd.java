package kelvo.desktop.workspace;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import kelvo.data.fault.PlainReason;

/**
 * How a day is let go of: first what the window holds, in {@link #leave}, then what has to be on
 * disk, in {@link #finish}. Each step that throws is told, and the next is taken.
 */
public final class DayEnd {
  private final Troubles troubles;
  private final List<Step> leaving = new ArrayList<>();
  private final List<Step> finishing = new ArrayList<>();
  private final AtomicBoolean left = new AtomicBoolean();
  private boolean traceless;

  private record Step(String what, Closing close) {}

  /** Closes one thing, and adds a sentence about what could not be saved. */
  interface Closing {
    void close(List<String> lost);
  }

  /** Nothing to let go of yet. */
  DayEnd(Troubles troubles) {
    this.troubles = troubles;
  }

  /** Does something when the window is left, such as letting a clock go. */
  public void onClose(Runnable then) {
    onLeave("a part of the window", then);
  }

  void onLeave(String what, Runnable then) {
    leaving.add(new Step(what, lost -> then.run()));
  }

  void onFinish(String what, Closing close) {
    finishing.add(new Step(what, close));
  }

  /** Keeps neither where the day is left nor what was looked at: it is only shown. */
  public void keepNothing() {
    traceless = true;
  }

  boolean isTraceless() {
    return traceless;
  }

  /** Whether the window has been left. */
  public boolean isLeft() {
    return left.get();
  }

  /**
   * Keeps the moment and lets go of the window; what has to be saved is saved by {@link #finish}.
   * Only the first call does so. On the window's thread, unless that no longer runs.
   */
  public void leave() {
    if (left.compareAndSet(false, true)) {
      taken(leaving).forEach(troubles::tell);
    }
  }

  /**
   * Waits until the session's record, the scan files and the ledger are on disk; on any thread but
   * the window's, since a disk may be slow.
   *
   * @return what could not be saved, a sentence each
   */
  public List<String> finish() {
    return taken(finishing);
  }

  private static List<String> taken(List<Step> steps) {
    List<String> lost = new ArrayList<>();
    for (Step step : steps) {
      try {
        step.close.close(lost);
      } catch (RuntimeException e) {
        lost.add("Closing " + step.what + " went wrong: " + PlainReason.of(e) + ".");
      }
    }
    return lost;
  }
}
