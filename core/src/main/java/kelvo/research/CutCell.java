package kelvo.research;

/**
 * The cases of one cell of a cut beside all others.
 *
 * @param name such as "5-10M"
 * @param figures of its cases
 * @param difference its mean less that of all other cases; NaN when it has all of them
 * @param p of that difference, alone
 * @param corrected for all cells and the whole
 */
public record CutCell(
    Cut cut,
    String name,
    ResultFigures figures,
    double difference,
    double p,
    double corrected,
    Sample sample) {
  private static final int FADED = 20;

  /** Whether it has too few cases to be looked at. */
  public boolean isFaded() {
    return figures.cases() < FADED;
  }
}
