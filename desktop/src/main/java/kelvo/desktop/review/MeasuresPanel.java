package kelvo.desktop.review;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Unit;
import kelvo.job.LatestAnswer;
import kelvo.review.DayReview;
import kelvo.review.Horizon;
import kelvo.review.MoveGroup;
import kelvo.review.TradeGroup;
import kelvo.review.TradeGrouping;
import kelvo.watchlist.TheTen;
import kelvo.watchlist.Watchlist;
import org.jspecify.annotations.Nullable;

/** The trades in groups: by scan, hour, price and what else tells them apart. */
final class MeasuresPanel extends BorderPane {
  private static final String MOVES = "moves by verdict";
  private static final String LISTS = "moves by list";

  private final Workspace workspace;
  private final LatestAnswer answers;
  private final ComboBox<String> by = new ComboBox<>();
  private final Grid<TradeGroup> table = new Grid<>("Measures", TradeGroup::name);
  private final Grid<MoveGroup> ofMoves = new Grid<>("Moves by verdict", MoveGroup::name);
  private @Nullable DayReview review;

  MeasuresPanel(Workspace workspace) {
    this.workspace = workspace;
    answers = workspace.answers().latest("measuring trades and moves");
    by.getItems()
        .setAll(
            Arrays.stream(TradeGrouping.values()).map(one -> "trades by " + one.words()).toList());
    by.getItems().addAll(MOVES, LISTS);
    by.getSelectionModel().select(TradeGrouping.SCAN.ordinal());
    by.setAccessibleText("What the trades are told apart by");
    by.setOnAction(e -> list());
    HBox head = new HBox(6, by);
    head.setAlignment(Pos.CENTER_LEFT);
    head.getStyleClass().addAll("card", "part");
    setTop(head);
    setCenter(table);
    table.columns(columns());
    table.emptyText("No trades up to this moment.");
    ofMoves.columns(moveColumns());
    ofMoves.emptyText("No moves up to this moment.");
  }

  /** What moves did that were taken, passed, missed and dropped. */
  private static List<GridColumn<MoveGroup>> moveColumns() {
    List<GridColumn<MoveGroup>> columns =
        new ArrayList<>(
            List.of(
                GridColumn.words("", "What became of them", 92, MoveGroup::name),
                GridColumn.numbers("moves", "How many", 46, g -> Integer.toString(g.moves())),
                GridColumn.<MoveGroup>numbers(
                        "ran",
                        "Share that ran, with its 95% interval by Wilson",
                        108,
                        g ->
                            g.known() == 0
                                ? ""
                                : ReviewColumns.share(g.ran() / (double) g.known())
                                    + " "
                                    + ReviewColumns.share(g.interval().low())
                                    + "–"
                                    + ReviewColumns.share(g.interval().high()))
                    .toned(g -> g.known() < ReviewColumns.SMALL_SAMPLE ? Tone.FADED : Tone.INK),
                GridColumn.numbers(
                    "gone",
                    "Median part of the run that was over at the first hit",
                    46,
                    g -> ReviewColumns.share(g.medianGone()))));
    for (Horizon horizon : Horizon.values()) {
      columns.add(
          GridColumn.numbers(
              "to " + horizon.words(),
              "Median best price for the move's side until then, against the first that could be had",
              66,
              g -> Double.isNaN(g.best(horizon)) ? "" : Numbers.percent(g.best(horizon))));
    }
    return columns;
  }

  private static List<GridColumn<TradeGroup>> columns() {
    return List.of(
        GridColumn.words("", "What they have in common.", 92, TradeGroup::name),
        GridColumn.numbers(
            "trades", "Closed trades", 42, g -> Integer.toString(g.totals().trades())),
        GridColumn.<TradeGroup>numbers(
                "won",
                "Share of results above zero, with its 95% interval by Wilson",
                122,
                MeasuresPanel::won)
            .toned(g -> g.totals().trades() < ReviewColumns.SMALL_SAMPLE ? Tone.FADED : Tone.INK),
        GridColumn.<TradeGroup>numbers(
                "net $", "Sum of results, fees taken off", 84, g -> Numbers.money(g.totals().net()))
            .toned(g -> Tone.ofMoney(g.totals().net())),
        GridColumn.numbers(
            "factor",
            "Profit factor: sum of gains over sum of losses",
            44,
            g ->
                Double.isNaN(g.totals().profitFactor())
                    ? ""
                    : Unit.TIMES.text(g.totals().profitFactor())),
        GridColumn.numbers(
            "a trade $",
            "Expectancy: the mean result",
            90,
            g -> Numbers.money(g.totals().expectancy())),
        GridColumn.numbers(
            "a share $",
            "The result over the shares opened",
            56,
            g -> Numbers.fixed(g.perShare(), 3)),
        GridColumn.numbers(
            "fall $",
            "Drawdown: the largest fall of the sum of results from its highest point",
            54,
            g -> Numbers.fixed(g.totals().drawdown(), 2)),
        GridColumn.numbers(
            "in a row",
            "The most wins and the most losses in a row",
            46,
            g -> g.longestWin() + " / " + g.longestLoss()),
        GridColumn.numbers(
            "held",
            "From the first fill to the last, in the median",
            60,
            g -> Double.isNaN(g.medianHeld()) ? "" : ReviewColumns.lateness((long) g.medianHeld())),
        GridColumn.numbers(
            "captured",
            "The part of the move's best run that was taken, in the median",
            52,
            g -> ReviewColumns.share(g.medianCaptured())),
        GridColumn.numbers(
            "R",
            "The result over the money at risk to the stop, in the median of those with a stop",
            36,
            g -> Numbers.fixed(g.medianR(), 1)),
        GridColumn.numbers(
            "spread $",
            "What fills paid beyond the middle of the quotes that stood; below zero when filled inside",
            58,
            g -> Numbers.money(g.spreadCost())),
        GridColumn.numbers(
            "of volume",
            "Shares opened over those printed in the five minutes before, in the median",
            56,
            g -> ReviewColumns.share(g.medianVolumeShare())),
        GridColumn.numbers(
            "late by",
            "From the move's first hit to the entry, in the median",
            54,
            g ->
                Double.isNaN(g.medianLateness())
                    ? ""
                    : ReviewColumns.lateness((long) g.medianLateness())));
  }

  private static String won(TradeGroup group) {
    return group.totals().trades() == 0
        ? ""
        : ReviewColumns.share(group.totals().winRate())
            + " "
            + ReviewColumns.share(group.interval().low())
            + "–"
            + ReviewColumns.share(group.interval().high());
  }

  void show(@Nullable DayReview newest) {
    review = newest;
    list();
  }

  private void list() {
    DayReview shown = review;
    String wanted = by.getValue();
    boolean moves = MOVES.equals(wanted) || LISTS.equals(wanted);
    setCenter(moves ? ofMoves : table);
    if (shown == null) {
      table.rows(List.of());
      ofMoves.rows(List.of());
    } else if (moves) {
      List<Watchlist> lists = lists(shown.until());
      answers.ask(
          progress ->
              MOVES.equals(wanted)
                  ? MoveGroup.byVerdict(shown.moves())
                  : MoveGroup.byList(shown.moves(), lists),
          ofMoves::rows);
    } else {
      TradeGrouping grouping =
          TradeGrouping.values()[Math.max(0, by.getSelectionModel().getSelectedIndex())];
      answers.ask(progress -> TradeGroup.of(shown.trades(), grouping), table::rows);
    }
  }

  /** The Ten of the moment and the trader's own lists of the day. */
  private List<Watchlist> lists(long moment) {
    List<Watchlist> lists = new ArrayList<>();
    lists.add(TheTen.at(workspace.book().get(), moment).watchlist());
    lists.addAll(workspace.wanted().listsOn(workspace.day()));
    return lists;
  }

  void theme() {
    table.theme(workspace.window().theme().get());
    ofMoves.theme(workspace.window().theme().get());
  }
}
