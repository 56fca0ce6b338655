package kelvo.desktop.research;

import kelvo.desktop.theme.IntervalRows;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.research.CutCell;
import kelvo.research.Sample;

/** The cells of a cut as rows: the mean result of each, with how far chance alone may move it. */
final class CellRows {
  private CellRows() {}

  static IntervalRows.Row of(CutCell cell) {
    return new IntervalRows.Row(
        cell.name(),
        Math.round(cell.figures().wonPercent()) + "% of " + cell.figures().cases(),
        cell.figures().mean().mean(),
        cell.figures().mean().low(),
        cell.figures().mean().high(),
        AnswerFigures.percent(cell.figures().mean().mean()),
        cell.sample() == Sample.SAYS_NOTHING ? Tone.FADED : Tone.ACCENT,
        cell.isFaded(),
        "%s: mean %s, %s from the rest, p %s (%s after all cuts): it %s.\nA click lists its cases."
            .formatted(
                cell.name(),
                AnswerFigures.percent(cell.figures().mean().mean()),
                AnswerFigures.percent(cell.difference()),
                Numbers.fixed(cell.p(), 3),
                Numbers.fixed(cell.corrected(), 3),
                cell.sample().words()));
  }
}
