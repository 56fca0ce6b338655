package kelvo.rule;

import java.util.List;
import kelvo.field.Field;
import kelvo.state.SymbolState;

/**
 * All scans' bounds on one field. A value changes far more often than the cell that it lies in, so
 * it is first looked for where the security's last one lay. Scans are bits of a long. Owned by one
 * thread; does not allocate when asked.
 */
final class RuleColumn {
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

  /** What may open the scans that a table has shut since it was last asked. */
  static final class Reopening {
    long byTime;
    long byNews;
  }

  private final SharedReadings shared;
  private final int place;
  private final Field.Reading reading;
  private final short[] lastCells;
  private final int column;
  private final int width;
  private final Reopening reopening;
  private BoundCells cells = PhaseBounds.NONE.cells();
  private long asking;
  private long openedByTime;
  private long openedByNews;

  /**
   * A column without bounds.
   *
   * @param place the field's place among the shared readings
   * @param lastCells by security and column, the cell in which the last value lay
   * @param column the column's place in its table
   * @param width how many columns the table has
   */
  RuleColumn(
      SharedReadings shared,
      int place,
      short[] lastCells,
      int column,
      int width,
      Reopening reopening) {
    this.shared = shared;
    this.place = place;
    this.lastCells = lastCells;
    this.column = column;
    this.width = width;
    this.reopening = reopening;
    reading = shared.readingAt(place);
  }

  /** Takes the bounds of a phase. */
  void lay(PhaseBounds bounds) {
    cells = bounds.cells();
    asking = bounds.asking();
    openedByTime = bounds.openedByTime();
    openedByNews = bounds.openedByNews();
  }

  /** Those of the given scans that this column does not shut. */
  long passing(long scans, SymbolState state, long now) {
    if ((asking & scans) == 0) {
      return scans;
    }
    double value = reading.at(state, now);
    shared.keep(place, value);
    int cell = cellOf(value, state.id() * width + column);
    long left = scans & cells.keptIn(cell);
    noteShut(scans ^ left, cell);
    return left;
  }

  private int cellOf(double value, int at) {
    int last = lastCells[at];
    if (cells.liesIn(last, value)) {
      return last;
    }
    int cell = cells.cellOf(value);
    lastCells[at] = (short) cell;
    return cell;
  }

  private void noteShut(long shut, int cell) {
    if ((shut & (openedByTime | openedByNews)) != 0) {
      reopening.byTime |= shut & openedByTime;
      reopening.byNews |= shut & openedByNews & ~cells.keptFrom(cell);
    }
  }
}
