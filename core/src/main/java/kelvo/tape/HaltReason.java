package kelvo.tape;

import java.util.Map;
import java.util.Set;

/** What the exchanges' codes for a halt mean. Source: the codes in public use, from memory. */
public final class HaltReason {
  private static final Set<String> PAUSES = Set.of("LUDP", "T5");
  private static final Set<String> OFFERINGS = Set.of("IPO1", "IPOQ", "IPOE");

  private static final Map<String, String> WORDS =
      Map.ofEntries(
          Map.entry("LUDP", "volatility pause"),
          Map.entry("LUDS", "volatility pause, quotes apart"),
          Map.entry("T1", "news pending"),
          Map.entry("T2", "news released"),
          Map.entry("T3", "news and resumption times"),
          Map.entry("T5", "trading pause"),
          Map.entry("T6", "extraordinary activity"),
          Map.entry("T8", "fund halted"),
          Map.entry("T12", "information asked for"),
          Map.entry("H4", "not in compliance"),
          Map.entry("H9", "filings not current"),
          Map.entry("H10", "suspended by the regulator"),
          Map.entry("H11", "regulatory concern"),
          Map.entry("O1", "operations"),
          Map.entry("M1", "corporate action"),
          Map.entry("M2", "quotes not available"),
          Map.entry("MWC1", "market-wide halt, level 1"),
          Map.entry("MWC2", "market-wide halt, level 2"),
          Map.entry("MWC3", "market-wide halt, level 3"));

  private HaltReason() {}

  /** What a code says; the code itself when it is not known, "no reason given" when it is empty. */
  public static String words(String code) {
    return code.isEmpty() ? "no reason given" : WORDS.getOrDefault(code, "reason " + code);
  }

  /** Whether it is a volatility pause, which has a usual length. */
  public static boolean isPause(String code) {
    return PAUSES.contains(code);
  }

  /** Whether it says that a new listing has not begun to trade, which is no halt. */
  public static boolean isOffering(String code) {
    return OFFERINGS.contains(code);
  }
}
