package kelvo.data.past;

import java.time.LocalDate;
import java.util.List;
import java.util.function.Predicate;

/**
 * The sessions that a question can be put to, and those of minute bars that it cannot, since they
 * do not tell what it asks.
 *
 * @param dates oldest first
 * @param leftOut likewise
 * @param untold the first rule or trigger that minute bars cannot tell; empty when they can
 */
public record SessionsAsked(List<LocalDate> dates, List<LocalDate> leftOut, String untold) {
  public SessionsAsked {
    dates = List.copyOf(dates);
    leftOut = List.copyOf(leftOut);
  }

  /** Those of certain dates. */
  public SessionsAsked only(Predicate<LocalDate> wanted) {
    return new SessionsAsked(
        dates.stream().filter(wanted).toList(), leftOut.stream().filter(wanted).toList(), untold);
  }

  /** The newest that it can be put to. */
  public SessionsAsked newest(int most) {
    return new SessionsAsked(
        dates.subList(Math.max(0, dates.size() - most), dates.size()), leftOut, untold);
  }

  /** Which are left out and why, as a sentence; empty when none is. */
  public String words() {
    return leftOut.isEmpty()
        ? ""
        : (leftOut.size() == 1 ? "1 session is" : leftOut.size() + " sessions are")
            + " left out: only minute bars are known, which cannot tell the "
            + untold
            + ".";
  }
}
