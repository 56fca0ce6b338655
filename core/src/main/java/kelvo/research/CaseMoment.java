package kelvo.research;

import kelvo.refusal.RefusedException;
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
   * @throws RefusedException when it is none
   */
  static CaseMoment of(String when, String after, long gap) {
    if (!after.isEmpty() && !when.equals("hit")) {
      throw new RefusedException("a time after which goes with hit only");
    }
    return switch (when) {
      case "hit" -> new FirstHit(after.isEmpty() ? DayTime.FIRST : time(after));
      case "move" -> new EveryMove(gap);
      case "open" -> At.OPEN;
      case "close" -> At.CLOSE;
      default -> new AtTime(time(when));
    };
  }

  private static long time(String text) {
    try {
      return DayTime.parse(text);
    } catch (RuntimeException e) {
      throw new RefusedException(
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

  /**
   * When a security fits the scan at one moment of each session: one case a security and session.
   */
  sealed interface At extends CaseMoment {
    /** At the open. */
    At OPEN = new AtTime(SessionHours.OPEN);

    /** At the close. */
    At CLOSE = new AtClose();

    /** The moment of a session. */
    long in(SessionHours hours);
  }

  /** At a time of day. */
  record AtTime(long time) implements At {
    @Override
    public long in(SessionHours hours) {
      return time;
    }

    @Override
    public String words() {
      return "matched at " + DayTime.minutes(time);
    }
  }

  /** At the close, which is at 13:00 on a short day. */
  record AtClose() implements At {
    @Override
    public long in(SessionHours hours) {
      return hours.close();
    }

    @Override
    public String words() {
      return "matched at the close";
    }
  }
}
