package kelvo.journal;

/**
 * Whether one of the trader's own rules was kept on a day.
 *
 * @param rule the rule as it was worded then
 * @param answer what the trader says
 */
public record RuleKept(String rule, Answer answer) {
  /** What can be said. */
  public enum Answer {
    OPEN,
    KEPT,
    BROKEN
  }
}
