package kelvo.desktop.review;

import java.util.List;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.review.WhatIf;

/** The columns of what a change of rules would have made of the day. */
final class WhatIfColumns {
  static final List<GridColumn<WhatIf.Line>> ALL =
      List.of(
          GridColumn.words(
              "",
              "The scan as it was and as changed, and the moves between.",
              86,
              WhatIf.Line::name),
          GridColumn.numbers(
              "moves", "Moves with one of its hits", 42, l -> Integer.toString(l.totals().moves())),
          GridColumn.<WhatIf.Line>numbers(
                  "ran",
                  "Share of its moves that ran, with its 95% interval by Wilson",
                  88,
                  WhatIfColumns::ran)
              .toned(l -> l.totals().known() < ReviewColumns.SMALL_SAMPLE ? Tone.FADED : Tone.INK),
          GridColumn.numbers(
              "an hour",
              "Hits over the hours of its window so far",
              50,
              l -> Numbers.fixed(l.totals().hitsPerHour(), 1)),
          GridColumn.numbers(
              "gone",
              "Median part of the run that was over at the first hit",
              40,
              l -> ReviewColumns.share(l.totals().medianGone())),
          GridColumn.numbers(
              "best 30m",
              "Median best price in 30 minutes",
              52,
              l -> Numbers.percent(l.totals().medianBest())),
          GridColumn.<WhatIf.Line>numbers(
                  "yours $",
                  "The result of your trades on these moves",
                  58,
                  l -> l.totals().trades() == 0 ? "" : Numbers.money(l.totals().net()))
              .toned(l -> Tone.ofMoney(l.totals().net())),
          GridColumn.<WhatIf.Line>numbers(
                  "at the hit $",
                  "What they would have brought more, entered at the first price after the first hit",
                  58,
                  l -> l.totals().trades() == 0 ? "" : Numbers.money(l.atTheHit()))
              .toned(l -> Tone.ofMoney(l.atTheHit())));

  private WhatIfColumns() {}

  private static String ran(WhatIf.Line line) {
    var totals = line.totals();
    return totals.known() == 0
        ? ""
        : ReviewColumns.share(totals.ran() / (double) totals.known())
            + " "
            + ReviewColumns.share(totals.interval().low())
            + "–"
            + ReviewColumns.share(totals.interval().high());
  }
}
