package kelvo.desktop.review;

import java.util.List;
import javafx.scene.layout.BorderPane;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.LatestAnswer;
import kelvo.journal.Choice;
import kelvo.journal.DayBook;
import kelvo.review.DayReview;
import kelvo.review.DecisionReview;
import kelvo.review.Horizon;
import kelvo.time.DayTime;
import kelvo.watchlist.Watchlist;
import org.jspecify.annotations.Nullable;

/** Who was kept, watched and dropped, why, with which plan, and what each did afterwards. */
final class DecisionsPanel extends BorderPane {
  private final Workspace workspace;
  private final LatestAnswer answers;
  private final Grid<DecisionReview> table = new Grid<>("Decided", one -> one.decision().symbol());

  DecisionsPanel(Workspace workspace) {
    this.workspace = workspace;
    answers = workspace.answers().latest("looking at what was decided");
    table.columns(columns());
    table.emptyText("Nothing was kept, watched or dropped up to this moment.");
    table.onSelect(one -> workspace.focus().lookAt(one.decision().symbol(), one.since()));
    setCenter(table);
  }

  void show(@Nullable DayReview review) {
    if (review == null) {
      table.rows(List.of());
      return;
    }
    DayBook book = workspace.book().get();
    List<Watchlist> lists = workspace.wanted().listsOn(workspace.day());
    answers.ask(
        progress -> DecisionReview.of(workspace.session(), book, lists, review), table::rows);
  }

  /** Walks down the rows. */
  void next(int way) {
    table.move(way);
  }

  void theme() {
    table.theme(workspace.window().theme().get());
  }

  private static List<GridColumn<DecisionReview>> columns() {
    return List.of(
        GridColumn.<DecisionReview>words(
            "",
            "What was decided",
            52,
            one ->
                one.decision().choice() == Choice.UNDECIDED
                    ? "listed"
                    : one.decision().choice().word()),
        GridColumn.words("symbol", "The symbol", 60, one -> one.decision().symbol()),
        GridColumn.numbers("at", "When it was decided", 40, one -> DayTime.minutes(one.since())),
        GridColumn.words("why", "The reason given", 96, one -> one.decision().reason()),
        GridColumn.words(
            "plan",
            "Side, when, and the line of plan",
            96,
            one ->
                one.decision().choice() == Choice.KEEP
                    ? one.decision().side().word()
                        + ", "
                        + one.decision().bucket()
                        + (one.decision().plan().isEmpty() ? "" : ": " + one.decision().plan())
                    : ""),
        GridColumn.words(
            "lists",
            "The lists of your own that it stood on, besides the Ten",
            70,
            one -> String.join(", ", one.lists())),
        GridColumn.numbers(
            "ran",
            "How many of its moves after that ran",
            46,
            one -> one.moves() == 0 ? "" : one.ran() + " of " + one.moves()),
        best(Horizon.QUARTER_HOUR),
        best(Horizon.HOUR),
        best(Horizon.TO_CLOSE),
        GridColumn.<DecisionReview>numbers(
                "yours $",
                "The result of your trades after that",
                66,
                one -> one.trades().isEmpty() ? "" : Numbers.money(one.net()))
            .toned(one -> Tone.ofMoney(one.net())));
  }

  private static GridColumn<DecisionReview> best(Horizon horizon) {
    return GridColumn.numbers(
        "to " + horizon.words(),
        "The best price for its side after the decision, against the first that could be had",
        56,
        one ->
            Double.isNaN(one.over(horizon).best())
                ? ""
                : Numbers.percent(one.over(horizon).best()));
  }
}
