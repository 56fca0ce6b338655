package kelvo.research;

import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/** When a find of a scan becomes a case. Moments are {@link DayTime}. */
public sealed interface CaseMoment {
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
