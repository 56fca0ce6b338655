package kelvo.desktop.universe;

import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Unit;
import kelvo.universe.Listing;
import kelvo.universe.Listing.ByHand;

/** Who is in a universe, who is out and why, or who was named by hand. */
final class UniverseList extends BorderPane {
  private static final String IN = "in";
  private static final String OUT = "out";
  private static final String BY_HAND = "by hand";

  private final TextField find = new TextField();
  private final ComboBox<String> which = new ComboBox<>();
  private final Grid<Listing> table = new Grid<>("Universe", Listing::symbol);
  private final HBox head;
  private List<Listing> all = List.of();

  UniverseList(Workspace workspace) {
    setCenter(table);
    which.getItems().setAll(OUT, IN, BY_HAND);
    which.setValue(OUT);
    head = choosing();
    table.columns(columns());
    table.onTold(workspace.window().action()::set);
    table.onSelect(row -> workspace.focus().on(row.symbol()));
    table.theme(workspace.window().theme().get());
    workspace.window().theme().addListener((o, was, is) -> table.theme(is));
    workspace.focus().symbol().addListener((o, was, is) -> table.select(is));
  }

  /** What chooses among the listed, to stand above the list. */
  HBox head() {
    return head;
  }

  private HBox choosing() {
    which.setFocusTraversable(false);
    which.setAccessibleText("Which securities are listed");
    which.setOnAction(e -> list());
    find.setPromptText("symbol, name or reason");
    find.setAccessibleText("Find in the list");
    find.textProperty().addListener((o, was, is) -> list());
    HBox.setHgrow(find, Priority.ALWAYS);
    HBox line = new HBox(6, new Label("Those who are"), which, find);
    line.setAlignment(Pos.CENTER_LEFT);
    return line;
  }

  private static List<GridColumn<Listing>> columns() {
    return List.of(
        GridColumn.<Listing>words(
                "symbol",
                "The ticker; + added by hand, × excluded by hand.",
                82,
                r -> mark(r.byHand()) + r.symbol())
            .growing(0)
            .strongly()
            .toned(r -> r.byHand() == ByHand.NOTHING ? Tone.INK : Tone.ACCENT),
        GridColumn.words("name", "The company's or fund's name.", 128, Listing::name),
        GridColumn.numbers(
            "close $", "Of the session before.", 62, r -> Unit.PRICE.text(r.close())),
        GridColumn.numbers(
            "volume 20d",
            "Mean of the last 20 sessions.",
            60,
            r -> Unit.SHARES.text(r.averageVolume())),
        GridColumn.<Listing>numbers(
                "float",
                "In shares, after splits; in the accent's colour when put right by hand.",
                56,
                r -> Unit.SHARES.text(r.floatShares()))
            .toned(r -> r.source().isEmpty() ? Tone.INK : Tone.ACCENT),
        GridColumn.<Listing>numbers(
                "age days",
                "Days since the float figure was right.",
                46,
                r -> Numbers.fixed(r.floatAgeDays(), 0))
            .toned(r -> r.isFloatStale() ? Tone.BAD : Tone.INK),
        GridColumn.words(
            "why", "Why it is out, or where its float was read.", 200, UniverseList::why));
  }

  private static String mark(ByHand byHand) {
    return switch (byHand) {
      case NOTHING -> "";
      case ADDED -> "+ ";
      case EXCLUDED -> "× ";
    };
  }

  private static String why(Listing row) {
    return row.whyOut().isEmpty() && !row.source().isEmpty()
        ? "float by hand: " + row.source()
        : row.whyOut();
  }

  void show(List<Listing> listings) {
    all = listings;
    list();
  }

  private void list() {
    String wanted = find.getText().strip().toLowerCase(Locale.ROOT);
    table.emptyText(
        "Nobody is "
            + which.getValue()
            + (wanted.isEmpty() ? "." : " that matches \"" + wanted + "\"."));
    table.rows(all.stream().filter(this::isChosen).filter(r -> holds(r, wanted)).toList());
  }

  private boolean isChosen(Listing row) {
    return switch (which.getValue()) {
      case IN -> row.whyOut().isEmpty();
      case OUT -> !row.whyOut().isEmpty();
      default -> row.byHand() != ByHand.NOTHING;
    };
  }

  private static boolean holds(Listing row, String wanted) {
    return (row.symbol() + "\n" + row.name() + "\n" + row.whyOut())
        .toLowerCase(Locale.ROOT)
        .contains(wanted);
  }

  /** Lists those of whom something is said by hand, or those who are out. */
  void only(boolean byHand) {
    if (byHand != which.getValue().equals(BY_HAND)) {
      which.setValue(byHand ? BY_HAND : OUT);
    }
  }

  void next() {
    table.move(1);
  }

  void find() {
    find.requestFocus();
  }
}
