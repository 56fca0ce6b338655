package kelvo.desktop.research;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.function.ToLongFunction;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.field.Unit;
import kelvo.history.DailyBar;
import kelvo.research.Cut;
import kelvo.research.Held;
import kelvo.research.RecordSheet;
import kelvo.research.RecordSheet.Day;
import kelvo.research.ResearchCase;
import kelvo.tape.Price;
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
                  held.words(), "The result by then, costs taken off", 68, one -> result(one, held))
              .toned(one -> Tone.ofMoney(one.result(held))));
    }
    columns.add(
        GridColumn.words(
            "float", "The float then", 64, one -> one.cells().getOrDefault(Cut.FLOAT, "")));
    return columns;
  }

  /** Of a security that ended, results of later sessions use its last price and are marked. */
  private static String result(ResearchCase one, Held held) {
    String percent = AnswerFigures.percent(one.result(held));
    return one.gone() && !held.isWithinSession() && !percent.isEmpty() ? percent + "†" : percent;
  }

  /** Day one and day two by the daily bars. */
  static List<GridColumn<ResearchCase>> record(Function<ResearchCase, RecordSheet> sheet) {
    List<GridColumn<ResearchCase>> columns = new ArrayList<>();
    columns.add(GridColumn.symbols(ResearchCase::symbol));
    columns.add(
        GridColumn.words("day one", "The session of the case", 54, one -> DATE.format(one.date())));
    columns.add(price("open", "The open of day one", sheet, 1, DailyBar::open));
    columns.add(price("high", "The high of day one", sheet, 1, DailyBar::high));
    columns.add(price("low", "The low of day one", sheet, 1, DailyBar::low));
    columns.add(price("close", "The close of day one", sheet, 1, DailyBar::close));
    columns.add(
        GridColumn.numbers(
            "volume",
            "The shares of day one",
            50,
            one -> of(sheet.apply(one), 1, day -> Unit.SHARES.text(day.bar().volume()))));
    columns.add(percent("change", "Day one from the close before", sheet, 1, Day::change));
    columns.add(
        percent("two: gap", "The open of day two from day one's close", sheet, 2, Day::gap));
    columns.add(price("high", "The high of day two", sheet, 2, DailyBar::high));
    columns.add(price("low", "The low of day two", sheet, 2, DailyBar::low));
    columns.add(price("close", "The close of day two", sheet, 2, DailyBar::close));
    columns.add(percent("change", "Day two from day one's close", sheet, 2, Day::change));
    return columns;
  }

  private static String of(RecordSheet sheet, int number, Function<Day, String> words) {
    Day day = sheet.day(number);
    return day == null ? "" : words.apply(day);
  }

  private static GridColumn<ResearchCase> price(
      String name,
      String help,
      Function<ResearchCase, RecordSheet> sheet,
      int number,
      ToLongFunction<DailyBar> price) {
    return GridColumn.numbers(
        name,
        help,
        49,
        one -> of(sheet.apply(one), number, day -> Price.text(price.applyAsLong(day.bar()))));
  }

  private static GridColumn<ResearchCase> percent(
      String name,
      String help,
      Function<ResearchCase, RecordSheet> sheet,
      int number,
      ToDoubleFunction<Day> percent) {
    return GridColumn.numbers(
        name,
        help,
        64,
        one ->
            of(
                sheet.apply(one),
                number,
                day -> AnswerFigures.percent(percent.applyAsDouble(day) / 100)));
  }
}
