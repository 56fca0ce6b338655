package kelvo.practice;

/** What a trader tells the paper broker. Moments are {@link kelvo.time.DayTime}. */
public sealed interface Instruction {
  /** When it was sent; it takes a while to arrive. */
  long at();

  /** To place an order. */
  record Place(long at, PaperOrder order) implements Instruction {}

  /**
   * To cancel what is left of an order; of a bracket all of it, so that what it holds has no exits
   * any more.
   */
  record Cancel(long at, long order) implements Instruction {}
}
