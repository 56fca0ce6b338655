package kelvo.trade;

/** How much of the loss that a day may bring is used up. */
public enum LossLimit {
  FINE,
  HALF,
  WHOLE;

  /**
   * Where a day stands.
   *
   * @param result dollars made so far, below 0 for a loss
   * @param limit dollars that may be lost; 0 for no limit
   */
  public static LossLimit of(double result, double limit) {
    return limit <= 0 || result > -limit / 2 ? FINE : result > -limit ? HALF : WHOLE;
  }
}
