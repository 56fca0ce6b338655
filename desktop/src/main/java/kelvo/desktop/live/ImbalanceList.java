package kelvo.desktop.live;

import java.util.List;
import javafx.scene.layout.BorderPane;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Unit;
import kelvo.tape.Price;
import kelvo.view.ImbalancesView;
import kelvo.view.ImbalancesView.Waiting;

/** What the auctions of the open and the close cannot pair, as a list. */
final class ImbalanceList extends BorderPane {
  private final Workspace workspace;
  private final Grid<Waiting> table = new Grid<>("Imbalances", Waiting::symbol);
  private final Followed<List<Waiting>> followed;

  ImbalanceList(Workspace workspace) {
    this.workspace = workspace;
    followed = new Followed<>(workspace.clock(), table::rows);
    setCenter(table);
    table.columns(
        List.of(
            GridColumn.symbols(Waiting::symbol),
            GridColumn.words(
                "waits",
                "Whether more is to be bought or to be sold.",
                70,
                row -> row.shares() > 0 ? "to buy" : "to sell"),
            GridColumn.numbers(
                "shares",
                "That the auction cannot pair.",
                70,
                row -> Unit.SHARES.text(Math.abs(row.shares()))),
            GridColumn.numbers(
                "dollars", "At the price of now.", 70, row -> Unit.MONEY.text(row.dollars())),
            GridColumn.numbers(
                "of usual",
                "The shares over the mean volume of 20 sessions.",
                64,
                row -> Unit.TIMES.text(row.ofAverage())),
            GridColumn.numbers("price $", "The price of now.", 56, row -> Price.text(row.price())),
            GridColumn.<Waiting>numbers(
                    "change",
                    "Of now, from the previous close.",
                    64,
                    row -> Numbers.percent(row.changePercent()))
                .toned(row -> Tone.ofChange(row.changePercent()))));
    table.emptyText(
        "No auction waits for anybody now. Messages come before the open and before the close.");
    table.onTold(workspace.window().action()::set);
    table.onSelect(row -> workspace.focus().on(row.symbol()));
    table.theme(workspace.window().theme().get());
    workspace.window().theme().addListener((o, was, is) -> table.theme(is));
  }

  /** Follows the market while it is seen. */
  void follow(boolean seen) {
    if (seen && !followed.isFollowing()) {
      followed.follow(new ImbalancesView(workspace.session()));
    } else if (!seen) {
      followed.stop();
    }
  }
}
