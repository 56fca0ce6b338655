package kelvo.sim;

import java.time.LocalDate;

/**
 * How large an invented data folder is.
 *
 * @param securities how many, stories and benchmarks included
 * @param days daily bars each
 * @param prints of the securities without a story, about
 * @param session the date of the recorded session
 */
public record DemoSize(int securities, int days, int prints, LocalDate session) {
  /** The date of the demo's session. */
  public static final LocalDate SESSION = LocalDate.of(2031, 3, 12);

  /** The demo: 3,000 securities, over 3 million prints. */
  public static final DemoSize DEMO = new DemoSize(3_000, 600, 2_950_000, SESSION);

  /** The same stories among few others, for tests. */
  public static final DemoSize SMALL = new DemoSize(240, 280, 60_000, SESSION);
}
