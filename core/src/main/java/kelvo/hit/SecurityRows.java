package kelvo.hit;

/**
 * What an engine looks at event by event: eight numbers a security side by side, which fill a line
 * of the processor's cache, since going to a security's numbers costs more than what is done with
 * them. The first half is the {@link ScanBoard}'s, the second the {@link DetectorRests}'. Owned by
 * one thread.
 */
final class SecurityRows {
  private static final int BITS = 3;

  /** The place of the first number of the detectors. */
  static final int OF_DETECTORS = 4;

  private final long[] numbers;
  private final int securities;

  /** Rows of zeros. */
  SecurityRows(int securities) {
    this.securities = securities;
    numbers = new long[securities << BITS];
  }

  int securities() {
    return securities;
  }

  long get(int security, int place) {
    return numbers[(security << BITS) + place];
  }

  void set(int security, int place, long number) {
    numbers[(security << BITS) + place] = number;
  }
}
