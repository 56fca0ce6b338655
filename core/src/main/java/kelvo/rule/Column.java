package kelvo.rule;

import java.util.List;
import kelvo.state.SymbolState;

/**
 * All scans' bounds on one field, in a row with those on other fields. Scans are bits of a long.
 */
interface Column {
  /** The end of every row. */
  Column END = new End();

  /** Those of the given scans that neither this column nor one after it shuts. */
  long passing(long scans, SymbolState state, long now);

  /** Takes the bounds of a phase. */
  void lay(PhaseBounds bounds);

  /**
   * The bounds of a phase on one field.
   *
   * @param asking the scans that have one
   * @param openedByTime those of them that time alone may open
   * @param openedByNews those of them that only news may open once minutes have shut them
   */
  record PhaseBounds(BoundCells cells, long asking, long openedByTime, long openedByNews) {
    /** No scan asks. */
    static final PhaseBounds NONE = new PhaseBounds(new BoundCells(List.of()), 0, 0, 0);
  }

  /** What may open the scans that a row has shut since it was last asked. */
  final class Reopening {
    long byTime;
    long byNews;
  }

  /**
   * What a column works with.
   *
   * @param place the field's place among the readings
   * @param lastCells by security and column, the cell in which the last value lay
   * @param column the column's place in the row
   * @param width how many columns the row has
   */
  record Setting(
      SharedReadings shared,
      int place,
      short[] lastCells,
      int column,
      int width,
      Reopening reopening) {}

  /** Shuts nothing. */
  final class End implements Column {
    @Override
    public long passing(long scans, SymbolState state, long now) {
      return scans;
    }

    @Override
    public void lay(PhaseBounds bounds) {}
  }
}
