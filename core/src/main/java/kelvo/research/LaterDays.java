package kelvo.research;

import kelvo.history.DailyBar;
import org.jspecify.annotations.Nullable;

/** How securities traded in the sessions after one, in the shares of that one. */
@FunctionalInterface
public interface LaterDays {
  /** Nothing is known of any later session. */
  LaterDays NONE = (symbol, day) -> Later.UNKNOWN;

  /**
   * A security in a later session.
   *
   * @param day 2 is the session after
   */
  Later of(String symbol, int day);

  /**
   * What is known of a later session of a security.
   *
   * @param bar its bar; of a security that has ended the last one it had, if there is one
   */
  record Later(Standing standing, @Nullable DailyBar bar) {
    public static final Later UNKNOWN = new Later(Standing.UNKNOWN, null);
  }

  /** Whether a security still trades in a later session. */
  enum Standing {
    /** It does. */
    TRADED,
    /** Others do, and it has no bar from then on. */
    GONE,
    /** Nobody's bars reach so far. */
    UNKNOWN
  }
}
