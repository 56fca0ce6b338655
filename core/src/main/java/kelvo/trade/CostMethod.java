package kelvo.trade;

/** Which shares a closing fill closes: it matters only while a trade is partly open. */
public enum CostMethod {
  /** The oldest first. */
  FIRST_IN_FIRST_OUT,
  /** All alike, at their average price. */
  AVERAGE_COST
}
