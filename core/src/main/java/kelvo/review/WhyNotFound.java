package kelvo.review;

import java.util.List;
import java.util.Optional;
import kelvo.hit.Hit;
import kelvo.job.Progress;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;

/**
 * Why a scan never found a symbol in a session: what each of its rules said minute by minute, and
 * which single change would have found it first.
 *
 * @param found its first hit as the scan is; empty when it has none
 * @param strips a strip a rule, in the scan's order
 * @param looser the single changes that would have found it, the smallest first
 * @param why in words what no single change can mend; empty when one can or it was found
 */
public record WhyNotFound(
    String symbol,
    Scan scan,
    Optional<Hit> found,
    List<Strip> strips,
    List<Looser> looser,
    String why) {
  /** What a rule says in a minute. */
  public enum Answer {
    PASSES,
    FAILS,
    /** The scan's window is not open, or the rule asks nothing in this phase. */
    NOT_ASKED
  }

  /**
   * One rule through the day.
   *
   * @param rule its sentence; for the triggers their words
   * @param minutes its answer as each minute ends, from that of 04:00 on
   */
  public record Strip(String rule, List<Answer> minutes) {
    public Strip {
      minutes = List.copyOf(minutes);
    }

    /** In how many minutes it passes. */
    public long passing() {
      return minutes.stream().filter(Answer.PASSES::equals).count();
    }
  }

  /**
   * One change that finds the symbol.
   *
   * @param rule the sentence of the rule that is changed
   * @param instead the sentence in its place; empty when it is left out
   * @param scan the scan so changed
   * @param at when it hits first, {@link DayTime}
   * @param price at which price, {@link Price} units
   */
  public record Looser(String rule, String instead, Scan scan, long at, long price) {
    /** The change in words. */
    public String words() {
      return instead.isEmpty() ? "without " + rule : "with " + instead;
    }
  }

  /**
   * Finds it out. Plays the session twice, with the scan's variants on this symbol alone.
   *
   * @throws java.util.concurrent.CancellationException when the progress stops it
   */
  public static WhyNotFound of(
      Session session, Scan scan, int security, long until, Progress progress) {
    return new WhyNotSearch(session, scan, security, until).answer(progress);
  }

  /** Whether something besides its rules makes its hits. */
  static boolean waitsForTriggers(Scan scan) {
    return !scan.triggers().equals(List.of(Trigger.ENTERS));
  }
}
