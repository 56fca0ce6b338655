package kelvo.desktop.live;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Rectangle2D;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.SparkLine;
import kelvo.desktop.theme.Tone;
import kelvo.level.Level;
import kelvo.tape.Price;
import kelvo.trade.OpenPosition;
import kelvo.view.WatchView.Watched;
import kelvo.watchlist.Mark;
import kelvo.watchlist.Watchlist;

/** The columns of a watchlist: the day, the price of now, the plan on a scale, what rings next. */
final class WatchColumns {
  /** A list's own columns stand after the symbol, the day so far, price and change. */
  private static final int BEFORE_OWN = 4;

  private static final List<GridColumn<Watched>> ALL =
      List.of(
          GridColumn.<Watched>symbolsWithSide(
              row ->
                  (row.watching().side().direction() < 0 ? "▼ " : "▲ ")
                      + row.symbol()
                      + (row.watching().entry().mark() == Mark.NONE
                          ? ""
                          : " " + row.watching().entry().mark().shape())),
          GridColumn.<Watched>words("04:00 on", "The day so far.", 58, row -> "")
              .growing(0)
              .painted(
                  (g, theme, row, cell) ->
                      SparkLine.paint(
                          g,
                          theme,
                          row.card().spark(),
                          row.moment(),
                          Tone.ofChange(row.card().changePercent()),
                          new Rectangle2D(
                              cell.getMinX() + 4,
                              cell.getMinY() + 5,
                              cell.getWidth() - 8,
                              cell.getHeight() - 10))),
          GridColumn.numbers(
              "price $", "The price of now.", 56, row -> Price.text(row.card().price())),
          GridColumn.<Watched>numbers(
                  "change",
                  "Of now, from the previous close.",
                  60,
                  row -> Numbers.percent(row.card().changePercent()))
              .toned(row -> Tone.ofChange(row.card().changePercent())),
          GridColumn.<Watched>words(
                  "stop, entry, target, now",
                  "The plan on a scale of prices: the stop, levels, targets and the entry as ticks,"
                      + " the price of now as a dot.",
                  130,
                  PlanScale::words)
              .growing(2)
              .painted(PlanScale::paint),
          GridColumn.<Watched>words(
                  "next to ring",
                  "The nearest level that rings, and how far it is; what is near or to come.",
                  120,
                  WatchColumns::next)
              .growing(1),
          GridColumn.<Watched>numbers(
                  "held, open R",
                  "Shares held, and the open result in risks: the move from the entry over the"
                      + " distance of the stop; in dollars without a stop.",
                  92,
                  WatchColumns::held)
              .toned(WatchColumns::heldTone));

  private WatchColumns() {}

  /** The columns of a list: those of all lists, its sections where it has some, and its own. */
  static List<GridColumn<Watched>> of(Watchlist list) {
    List<GridColumn<Watched>> columns = new ArrayList<>(ALL);
    for (int i = list.columns().size() - 1; i >= 0; i--) {
      int place = i;
      columns.add(
          BEFORE_OWN,
          GridColumn.numbers(
              list.columns().get(place),
              "A column of this list.",
              60,
              row -> place < row.values().size() ? row.values().get(place) : ""));
    }
    if (list.sections().stream().anyMatch(section -> !section.isEmpty())) {
      columns.addFirst(
          GridColumn.<Watched>words(
                  "section",
                  "The part of the list; carry a row into another one to change it.",
                  64,
                  row -> row.watching().entry().section())
              .growing(0)
              .toned(row -> Tone.FADED));
    }
    return columns;
  }

  private static String next(Watched row) {
    Level next = row.next();
    String level =
        next == null
            ? ""
            : Price.text(next.priceAt(row.moment())) + ", " + Numbers.percent(row.awayPercent());
    return Stream.of(
            row.isNearBand() ? "near its band" : "",
            level,
            row.isRestricted() ? "short sales restricted" : "",
            row.tonight())
        .filter(words -> !words.isEmpty())
        .collect(Collectors.joining(" · "));
  }

  private static String held(Watched row) {
    OpenPosition held = row.watching().held();
    if (held == null) {
      return "flat";
    }
    String result =
        Double.isNaN(row.risks())
            ? Numbers.money(held.result(row.card().price()))
            : (row.risks() >= 0 ? "+" : "") + Numbers.fixed(row.risks(), 1) + " R";
    return result + " · " + held.shares().stripTrailingZeros().toPlainString();
  }

  private static Tone heldTone(Watched row) {
    OpenPosition held = row.watching().held();
    return held == null ? Tone.FADED : Tone.ofMoney(held.result(row.card().price()));
  }
}
