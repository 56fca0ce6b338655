package kelvo.rule;

import kelvo.field.Field;
import kelvo.state.SymbolState;

/**
 * The column of one field. It serves as the pattern of {@link ColumnClasses}: each row of fields
 * has classes of its own, whose calls of the reading and of the next column always go the same way.
 * A value changes far more often than the cell that it lies in, so that it is first looked for
 * where the security's last one lay.
 */
final class FieldColumn implements Column {
  private final Field.Reading reading;
  private final Column next;
  private final SharedReadings shared;
  private final int place;
  private final short[] lastCells;
  private final int column;
  private final int width;
  private final Reopening reopening;
  private BoundCells cells = PhaseBounds.NONE.cells();
  private long asking;
  private long openedByTime;
  private long openedByNews;

  FieldColumn(Setting setting, Column next) {
    this.next = next;
    shared = setting.shared();
    place = setting.place();
    reading = shared.readingAt(place);
    lastCells = setting.lastCells();
    column = setting.column();
    width = setting.width();
    reopening = setting.reopening();
  }

  @Override
  public void lay(PhaseBounds bounds) {
    cells = bounds.cells();
    asking = bounds.asking();
    openedByTime = bounds.openedByTime();
    openedByNews = bounds.openedByNews();
  }

  @Override
  public long passing(long scans, SymbolState state, long now) {
    long left = scans;
    if ((asking & scans) != 0) {
      double value = reading.at(state, now);
      shared.keep(place, value);
      int cell = cellOf(value, state.id() * width + column);
      left = scans & cells.keptIn(cell);
      noteShut(scans ^ left, cell);
      if (left == 0) {
        return 0;
      }
    }
    return next.passing(left, state, now);
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
