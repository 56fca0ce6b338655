package kelvo.desktop.focus;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.view.MarketSnapshot;
import kelvo.field.Unit;
import kelvo.tape.Price;
import kelvo.chart.RecentPrints;
import kelvo.time.DayTime;

/**
 * The newest prints, each at the bid, at the ask or between, with the best bid and ask above them.
 */
final class PrintsPart extends BorderPane implements FocusPart {
  private final Label quote = new Label();
  private final Grid<RecentPrints.Print> grid = new Grid<>("Prints", System::identityHashCode);

  PrintsPart() {
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
  public void show(ShownSymbol shown) {
    MarketSnapshot.Focus focus = shown.focus();
    if (focus == null) {
      grid.rows(List.of());
      quote.setText("");
      return;
    }
    grid.rows(focus.prints().prints());
    double buying = focus.prints().buyingShare();
    quote.setText(
        "Bid "
            + text(focus.bid())
            + "   ask "
            + text(focus.ask())
            + "   buying share of the last minute "
            + (Double.isNaN(buying) ? "unknown" : Unit.PERCENT.text(buying * 100) + "%"));
  }

  private static String text(long price) {
    return price == Price.NONE ? "none" : Price.text(price);
  }
}
