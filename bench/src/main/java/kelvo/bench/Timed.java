package kelvo.bench;

/** How long a pass takes. */
final class Timed {
  private static final double NANOS_IN_MS = 1e6;

  private Timed() {}

  /** Runs a pass and returns its milliseconds. */
  static double ms(Runnable pass) {
    long start = System.nanoTime();
    pass.run();
    return (System.nanoTime() - start) / NANOS_IN_MS;
  }
}
