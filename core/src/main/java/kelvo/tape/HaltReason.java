package kelvo.tape;

import java.util.Set;

/** What the exchanges' codes for a halt mean. Source: the codes in public use, from memory. */
public final class HaltReason {
  private static final Set<String> PAUSES = Set.of("LUDP", "T5");
  private static final Set<String> OFFERINGS = Set.of("IPO1", "IPOQ", "IPOE");

  private HaltReason() {}

  /** Whether it is a volatility pause, which has a usual length. */
  public static boolean isPause(String code) {
    return PAUSES.contains(code);
  }

  /** Whether it says that a new listing has not begun to trade, which is no halt. */
  public static boolean isOffering(String code) {
    return OFFERINGS.contains(code);
  }
}
