package kelvo.journal;

import java.util.List;

/** The trader's own rules, each kept or broken on a day. */
public final class OwnRules {
  /** Those that Kelvo starts with. Common practice, no source. */
  public static final List<String> DEFAULT =
      List.of(
          "Every trade was on a hit or on the plan.",
          "The stop was known before the entry.",
          "No position was larger than planned.",
          "No trade after the day's loss limit.");

  private OwnRules() {}
}
