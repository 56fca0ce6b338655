package kelvo.market;

/**
 * What changes when a security prints in another minute: the exponential average of the closes of
 * 1-minute bars, and which of the newest minutes carry a print. Minutes without a print carry no
 * bar. The average is seeded with the simple average of the first n bars, unknown before.
 */
final class MinuteState {
  /** How many minutes back one can ask for silence. */
  static final int SPAN = 30;

  private static final int EMA_SPAN = 9;
  private static final double WEIGHT = Averages.emaWeight(EMA_SPAN);
  private static final int NONE = -1;

  private double sum;
  private double ema;
  private int bars;
  private int newest = NONE;

  /** The newest minutes, a bit a minute, the newest lowest; set where there is a print. */
  private long prints;

  /** Takes the close of a minute that is over. */
  void close(double dollars) {
    bars++;
    if (bars <= EMA_SPAN) {
      sum += dollars;
      ema = sum / EMA_SPAN;
    } else {
      ema += WEIGHT * (dollars - ema);
    }
  }

  /** The average with the close of the minute that still runs; unknown (NaN) before n bars. */
  double ema9With(double running) {
    if (bars + 1 < EMA_SPAN) {
      return Double.NaN;
    }
    return bars + 1 == EMA_SPAN ? (sum + running) / EMA_SPAN : ema + WEIGHT * (running - ema);
  }

  /** Notes a print in a minute of the day and returns the newest such minute so far. */
  int printIn(int minute) {
    if (minute > newest) {
      int shift = minute - newest;
      prints = newest == NONE || shift >= Long.SIZE ? 1 : prints << shift | 1;
      newest = minute;
    } else if (newest - minute < Long.SIZE) {
      prints |= 1L << newest - minute;
    }
    return newest;
  }

  /** How many of the {@link #SPAN} minutes that end with a minute carry no print. */
  int idleAt(int minute) {
    int behind = minute - newest;
    return newest == NONE || behind >= SPAN
        ? SPAN
        : SPAN - Long.bitCount(prints & (1L << SPAN - behind) - 1);
  }

  void copyFrom(MinuteState other) {
    sum = other.sum;
    ema = other.ema;
    bars = other.bars;
    newest = other.newest;
    prints = other.prints;
  }
}
