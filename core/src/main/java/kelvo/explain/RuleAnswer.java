package kelvo.explain;

/**
 * What one rule says of one security.
 *
 * @param rule the rule's sentence
 * @param value the field's value in its unit; empty when unknown
 * @param bound the bound in force; empty while the rule asks nothing
 * @param passes whether it holds
 * @param lastPassed the last whole second or event at which it held, {@link kelvo.time.DayTime}; -1
 *     when it never did
 */
public record RuleAnswer(
    String rule, String value, String bound, boolean passes, long lastPassed) {}
