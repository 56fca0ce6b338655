package kelvo.state;

/**
 * Which of the newest minutes carry a print, as one number: a bit a minute, the newest lowest. The
 * number of the newest minute is kept beside it.
 */
final class RecentMinutes {
  /** How many minutes back one can ask for silence. */
  static final int SPAN = 30;

  /** The newest minute before the first print. */
  static final short NONE = -1;

  private RecentMinutes() {}

  /** The minutes after a print in a minute of the day. */
  static long with(long minutes, int newest, int minute) {
    int shift = minute - newest;
    if (shift <= 0) {
      return -shift < Long.SIZE ? minutes | 1L << -shift : minutes;
    }
    return newest == NONE || shift >= Long.SIZE ? 1 : minutes << shift | 1;
  }

  /** How many of the {@link #SPAN} minutes that end with a minute carry no print. */
  static int idleAt(long minutes, int newest, int minute) {
    int behind = minute - newest;
    return newest == NONE || behind >= SPAN
        ? SPAN
        : SPAN - Long.bitCount(minutes & (1L << (SPAN - behind)) - 1);
  }
}
