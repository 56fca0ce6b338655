package kelvo.desktop.review;

import java.util.Arrays;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Unit;
import kelvo.review.DayReview;
import kelvo.review.TradeGroup;
import kelvo.review.TradeGrouping;
import org.jspecify.annotations.Nullable;

/** The trades in groups: by scan, hour, price and what else tells them apart. */
final class MeasuresPanel extends BorderPane {
  private final Workspace workspace;
  private final ComboBox<String> by = new ComboBox<>();
  private final Grid<TradeGroup> table = new Grid<>("Measures", TradeGroup::name);
  private @Nullable DayReview review;

  MeasuresPanel(Workspace workspace) {
    this.workspace = workspace;
    Label words = new Label("trades by");
    words.getStyleClass().addAll("small", "faded");
    by.getItems().setAll(Arrays.stream(TradeGrouping.values()).map(TradeGrouping::words).toList());
    by.getSelectionModel().select(TradeGrouping.SCAN.ordinal());
    by.setAccessibleText("What the trades are told apart by");
    by.setFocusTraversable(false);
    by.setOnAction(e -> list());
    HBox head = new HBox(6, words, by);
    head.setAlignment(Pos.CENTER_LEFT);
    head.getStyleClass().addAll("card", "part");
    setTop(head);
    setCenter(table);
    table.columns(columns());
    table.emptyText("No trades up to this moment.");
  }

  private static List<GridColumn<TradeGroup>> columns() {
    return List.of(
        GridColumn.words("", "What they have in common.", 92, TradeGroup::name),
        GridColumn.numbers(
            "trades", "Closed trades", 42, g -> Integer.toString(g.totals().trades())),
        GridColumn.<TradeGroup>numbers(
                "won",
                "Share of results above zero, with its 95% interval by Wilson",
                108,
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
            78,
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
    TradeGrouping grouping =
        TradeGrouping.values()[Math.max(0, by.getSelectionModel().getSelectedIndex())];
    table.rows(shown == null ? List.of() : TradeGroup.of(shown.trades(), grouping));
  }

  void theme() {
    table.theme(workspace.theme().get());
  }
}
