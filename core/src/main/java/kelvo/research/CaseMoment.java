package kelvo.research;

import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/** When a find of a scan becomes a case. Moments are {@link DayTime}. */
public sealed interface CaseMoment {
  /**
   * A moment in the words of files and commands.
   *
   * @param when hit, move, open, close, or a time such as 10:30
   * @param after with "hit", the time of day from which the first counts; empty for 04:00
   * @param gap with "move", how long a pause ends one
   * @throws IllegalArgumentException when it is none
   */
  static CaseMoment of(String when, String after, long gap) {
    if (!after.isEmpty() && !when.equals("hit")) {
      throw new IllegalArgumentException("a time after which goes with hit only");
    }
    return switch (when) {
      case "hit" -> new FirstHit(after.isEmpty() ? DayTime.FIRST : time(after));
      case "move" -> new EveryMove(gap);
      case "open" -> At.OPEN;
      case "close" -> new At(SessionHours.USUAL_CLOSE);
      default -> new At(time(when));
    };
  }

  private static long time(String text) {
    try {
      return DayTime.parse(text);
    } catch (RuntimeException e) {
      throw new IllegalArgumentException(
          "expected hit, move, open, close or a time such as 10:30, found \"" + text + "\"", e);
    }
  }

  /** As the middle of a sentence after the scan's name. */
  String words();

  /** The first hit of a security from a time of day on: one case a security and session. */
  record FirstHit(long from) implements CaseMoment {
    @Override
    public String words() {
      return from <= DayTime.FIRST ? "first hit" : "first hit after " + DayTime.minutes(from);
    }
  }

  /**
   * The first hit of every move.
   *
   * @param gap how long a pause between two hits ends a move, nanoseconds of trading
   */
  record EveryMove(long gap) implements CaseMoment {
    @Override
    public String words() {
      return "hit at the start of a move";
    }
  }

  /** A time of day at which a security fits the scan: one case a security and session. */
  record At(long time) implements CaseMoment {
    /** At the open. */
    public static final At OPEN = new At(SessionHours.OPEN);

    @Override
    public String words() {
      return "matched at " + DayTime.minutes(time);
    }
  }
}
