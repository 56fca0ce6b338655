package kelvo.desktop.research;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.research.Cut;
import kelvo.research.Held;
import kelvo.research.ResearchCase;
import kelvo.time.DayTime;

/** The columns of the cases. */
final class CaseColumns {
  private static final DateTimeFormatter DATE =
      DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
  private static final List<Held> SHOWN =
      List.of(Held.QUARTER_HOUR, Held.HOUR, Held.CLOSE, Held.NEXT_OPEN, Held.NEXT_CLOSE);

  private CaseColumns() {}

  static List<GridColumn<ResearchCase>> all() {
    List<GridColumn<ResearchCase>> columns = new ArrayList<>();
    columns.add(GridColumn.symbols(ResearchCase::symbol));
    columns.add(
        GridColumn.words("day one", "The session of the case", 48, one -> DATE.format(one.date())));
    columns.add(GridColumn.words("at", "When it was found", 42, one -> DayTime.minutes(one.at())));
    columns.add(
        GridColumn.numbers(
            "entry",
            "The next print's price with half of the spread",
            62,
            one -> Numbers.fixed(one.entry(), 2) + (one.spreadAssumed() ? "*" : "")));
    for (Held held : SHOWN) {
      columns.add(
          GridColumn.<ResearchCase>numbers(
                  held.words(),
                  "The result by then, costs taken off",
                  68,
                  one -> AnswerFigures.percent(one.result(held)))
              .toned(one -> Tone.ofMoney(one.result(held))));
    }
    columns.add(
        GridColumn.words(
            "float", "The float then", 64, one -> one.cells().getOrDefault(Cut.FLOAT, "")));
    return columns;
  }
}
