package kelvo.desktop.prints;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import kelvo.chart.RecentPrints;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.SymbolPart;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Unit;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.view.PrintsView;

/**
 * The newest prints, each at the bid, at the ask or between, with the best bid and ask above them.
 */
public final class PrintsPart extends BorderPane implements SymbolPart {
  /** Its kind. */
  public static final PartKind KIND =
      new PartKind("PRINTS", "Prints", (workspace, choice) -> new PrintsPart(workspace));

  private final Workspace workspace;
  private final Followed<PrintsView.PrintList> followed;
  private final Label quote = new Label();
  private final Grid<RecentPrints.Print> grid = new Grid<>("Prints", System::identityHashCode);

  PrintsPart(Workspace workspace) {
    this.workspace = workspace;
    followed = new Followed<>(workspace.clock(), this::tell);
    quote.getStyleClass().addAll("part", "small");
    setTop(quote);
    setCenter(grid);
    grid.columns(
        List.of(
            GridColumn.words("Time", "New York time", 90, p -> DayTime.millis(p.at())),
            GridColumn.<RecentPrints.Print>numbers("Price $", "", 70, p -> Price.text(p.price()))
                .toned(PrintsPart::tone),
            GridColumn.numbers("Shares", "", 70, p -> Long.toString(p.shares())),
            GridColumn.<RecentPrints.Print>words(
                    "Where",
                    "Against the quote in force when it was made",
                    90,
                    p -> p.place().words())
                .toned(PrintsPart::tone)));
    grid.emptyText("No prints yet.");
  }

  private static Tone tone(RecentPrints.Print print) {
    return switch (print.place()) {
      case AT_ASK -> Tone.UP;
      case AT_BID -> Tone.DOWN;
      case BETWEEN, NO_QUOTE -> Tone.INK;
    };
  }

  @Override
  public void theme(Theme theme) {
    grid.theme(theme);
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public void show(String symbol) {
    hide();
    grid.rows(List.of());
    quote.setText("");
    workspace
        .session()
        .numberOf(symbol)
        .ifPresent(security -> followed.follow(new PrintsView(workspace.session(), security)));
  }

  @Override
  public void hide() {
    followed.stop();
  }

  private void tell(PrintsView.PrintList newest) {
    grid.rows(newest.prints().prints());
    double buying = newest.prints().buyingShare();
    quote.setText(
        "Bid "
            + text(newest.bid())
            + "   ask "
            + text(newest.ask())
            + "   buying share of the last minute "
            + (Double.isNaN(buying) ? "unknown" : Unit.PERCENT.text(buying * 100) + "%"));
  }

  private static String text(long price) {
    return price == Price.NONE ? "none" : Price.text(price);
  }
}
