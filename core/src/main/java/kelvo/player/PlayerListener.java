package kelvo.player;

import kelvo.hit.Hit;

/** Hears of a player, on the player's thread. */
public interface PlayerListener {
  /** A hit, told once: when the clock first passes it, or in a live session when it is found. */
  void hit(Hit hit);

  /**
   * A recorded session has been played through its scans up to a moment, and up to {@link
   * kelvo.time.DayTime#LAST} in the end; until then nothing is known of what comes after it.
   */
  void played(long until);

  /** All views of a moment have been answered. */
  void published();

  /**
   * Something threw, and the player goes on without it.
   *
   * @param what was being done, such as "going to 09:41:00"
   */
  void trouble(String what, Throwable cause);

  /** The player's thread has ended, though nobody closed it: nothing moves any more. */
  void stopped(Throwable cause);
}
