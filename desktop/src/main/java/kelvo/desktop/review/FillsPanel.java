package kelvo.desktop.review;

import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextArea;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kelvo.data.fill.BrokerTable;
import kelvo.data.fill.FillMapping;
import kelvo.data.fill.FillMappings;
import kelvo.data.fill.FillPart;
import kelvo.data.ledger.KeptFills;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.theme.WordsOf;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.LatestAnswer;
import kelvo.refusal.RefusedException;
import kelvo.trade.Fill;
import org.jspecify.annotations.Nullable;

/** Brings in fills from a broker's file or from rows that were pasted, with a look before. */
final class FillsPanel extends BorderPane {
  private static final int ROWS_SHOWN = 6;
  private static final int REASONS_SHOWN = 3;
  private static final double PART_WIDTH = 104;

  private final Workspace workspace;
  private final FillMappings mappings;
  private final LatestAnswer answers;
  private final TextArea pasted = new TextArea();
  private final FillByHand hand;
  private final Label source = new Label();
  private final Label says = new Label();
  private final Button add = SmallButton.of("Add", "", this::add);
  private @Nullable BrokerTable table;
  private @Nullable FillMapping mapping;

  FillsPanel(Workspace workspace) {
    this.workspace = workspace;
    // Asked behind the window.
    mappings =
        new FillMappings(
            workspace.folder(),
            wrong -> Platform.runLater(() -> workspace.window().action().set(wrong)));
    answers = workspace.answers().latest("reading fills");
    hand = new FillByHand(workspace.day());
    pasted.setId("pasted-fills");
    pasted.setPromptText(
        "Paste rows with their header here, or choose a file. Any broker's table will do.");
    pasted
        .textProperty()
        .addListener(
            (o, was, is) -> {
              if (!is.isBlank()) {
                read("what was pasted", () -> BrokerTable.of(is));
              }
            });
    says.setId("fills-say");
    says.getStyleClass().add("small");
    says.setWrapText(true);
    says.setMinWidth(0);
    says.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(says, Priority.ALWAYS);
    add.setId("add-fills");
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    HBox head =
        new HBox(
            8,
            SmallButton.inTabOrder("Choose a file…", "", this::choose),
            source,
            space,
            SmallButton.inTabOrder("By hand", "Write one fill", () -> byHand(null)),
            SmallButton.inTabOrder("Begin again", "", this::begin));
    HBox foot = new HBox(8, says, add);
    for (HBox line : List.of(head, foot)) {
      line.setAlignment(Pos.CENTER_LEFT);
      line.getStyleClass().addAll("card", "part");
    }
    setTop(head);
    setBottom(foot);
    begin();
  }

  /** Lets one fill be written: what opened a position before the record, or any when it is null. */
  void byHand(@Nullable Fill closing) {
    begin();
    if (closing == null) {
      hand.begin();
    } else {
      hand.askFor(closing);
    }
    source.setText("written by hand");
    setCenter(hand);
    add.setText("Look at it");
    add.setDisable(false);
  }

  /** Nothing has been chosen. */
  private void begin() {
    table = null;
    mapping = null;
    pasted.clear();
    source.setText("");
    tell("");
    add.setText("Add");
    add.setDisable(true);
    setCenter(pasted);
  }

  private void choose() {
    workspace
        .navigation()
        .files()
        .open(getScene().getWindow(), "Fills of a broker")
        .ifPresent(file -> read(String.valueOf(file.getFileName()), () -> BrokerTable.of(file)));
  }

  private record Read(@Nullable BrokerTable table, @Nullable FillMapping mapping, String wrong) {}

  private void read(String name, Supplier<BrokerTable> reading) {
    answers.askInstead(
        progress -> {
          try {
            BrokerTable found = reading.get();
            return new Read(found, mappings.of(found), "");
          } catch (RefusedException | UncheckedIOException e) {
            return new Read(null, null, name + " cannot be read: " + e.getMessage() + ".");
          }
        },
        read -> {
          source.setText(name);
          table = read.table();
          mapping = read.mapping();
          tell(read.wrong());
          show();
        });
  }

  private void tell(String words) {
    says.setText(words);
    says.setTooltip(words.isEmpty() ? null : new Tooltip(words));
  }

  /** The first rows under what their columns hold. */
  private void show() {
    BrokerTable shown = table;
    FillMapping known = mapping;
    if (shown == null || known == null) {
      add.setDisable(true);
      return;
    }
    GridPane grid = new GridPane(8, 2);
    grid.getStyleClass().addAll("card", "part");
    for (int column = 0; column < shown.header().size(); column++) {
      Label name = new Label(shown.header().get(column));
      name.getStyleClass().addAll("small", "strong");
      grid.add(new VBox(2, part(known, column), name), column, 0);
      for (int row = 0; row < Math.min(ROWS_SHOWN, shown.rows().size()); row++) {
        Label cell = new Label(shown.rows().get(row).cell(column));
        cell.getStyleClass().add("small");
        grid.add(cell, column, row + 1);
      }
    }
    setCenter(new ScrollPane(grid));
    count(shown, known);
  }

  private ComboBox<FillPart> part(FillMapping known, int column) {
    ComboBox<FillPart> choice = new ComboBox<>();
    choice.getItems().setAll(FillPart.values());
    choice.setConverter(new WordsOf<>(FillPart::words));
    choice.setValue(known.parts().get(column));
    choice.setPrefWidth(PART_WIDTH);
    choice.setAccessibleText("What the column holds");
    choice.setOnAction(
        e -> {
          FillMapping now = mapping;
          if (now != null && choice.getValue() != now.parts().get(column)) {
            mapping = now.with(column, choice.getValue());
            show();
          }
        });
    return choice;
  }

  private void count(BrokerTable shown, FillMapping known) {
    if (!known.missing().isEmpty()) {
      tell(known.missing());
      add.setDisable(true);
      return;
    }
    answers.askInstead(
        progress -> known.read(shown),
        read -> {
          tell(words(read));
          add.setText(read.fills() == 1 ? "Add 1 fill" : "Add " + read.fills() + " fills");
          add.setDisable(read.fills() == 0 || !workspace.isKept());
        });
  }

  private String words(FillMapping.Read read) {
    String days =
        read.byDay().isEmpty()
            ? "No fills."
            : read.byDay().size() == 1
                ? "Fills of " + read.byDay().firstKey() + "."
                : "Fills of "
                    + read.byDay().size()
                    + " days, "
                    + read.byDay().firstKey()
                    + " to "
                    + read.byDay().lastKey()
                    + ".";
    return Stream.of(days, unknown(read), leftOut(read))
        .filter(words -> !words.isEmpty())
        .collect(Collectors.joining(" "));
  }

  /** Symbols that the session does not have are kept all the same. */
  private String unknown(FillMapping.Read read) {
    List<String> unknown =
        read.byDay().getOrDefault(workspace.day(), List.of()).stream()
            .map(Fill::symbol)
            .filter(symbol -> workspace.session().numberOf(symbol).isEmpty())
            .distinct()
            .toList();
    return unknown.isEmpty()
        ? ""
        : "Not in this session, and kept: " + String.join(", ", unknown) + ".";
  }

  private static String leftOut(FillMapping.Read read) {
    int rows = read.leftOut().size();
    if (rows == 0) {
      return "";
    }
    return (rows == 1 ? "1 row is" : rows + " rows are")
        + " left out: "
        + read.leftOut().stream()
            .limit(REASONS_SHOWN)
            .map(row -> "line " + row.line() + ", " + row.reason())
            .collect(Collectors.joining("; "))
        + (rows > REASONS_SHOWN ? "; and more." : ".");
  }

  /**
   * What adding has come to.
   *
   * @param wrong why the ledger could not save them; empty when they are saved
   * @param forgotten why the columns could not be kept for the next time; empty when they are
   */
  private record Added(
      int fills, int known, List<Fill> today, boolean others, String wrong, String forgotten) {}

  /** Adds what is shown, if there is something to add. */
  void addShown() {
    add.fire();
  }

  private void add() {
    if (getCenter() == hand) {
      read("what was written", () -> BrokerTable.of(hand.table()));
      return;
    }
    BrokerTable shown = table;
    FillMapping known = mapping;
    if (shown == null || known == null) {
      return;
    }
    add.setDisable(true);
    LocalDate today = workspace.day();
    answers.askInstead(
        progress -> {
          String forgotten = keep(shown, known);
          String failed = workspace.ledger().failure();
          FillMapping.Read read = known.read(shown);
          int added = KeptFills.add(workspace.ledger(), read.byDay());
          boolean others = read.byDay().keySet().stream().anyMatch(day -> day.isBefore(today));
          boolean saved = workspace.ledger().awaitSaved();
          return new Added(
              added,
              read.fills() - added,
              read.byDay().getOrDefault(today, List.of()),
              others,
              saved && failed.equals(workspace.ledger().failure())
                  ? ""
                  : workspace.ledger().failure(),
              forgotten);
        },
        this::added);
  }

  /** Without its columns the next table is only asked about again, so that fills go on. */
  private String keep(BrokerTable shown, FillMapping known) {
    try {
      mappings.keep(shown, known);
      return "";
    } catch (UncheckedIOException e) {
      return String.valueOf(e.getMessage());
    }
  }

  private void added(Added added) {
    workspace.trader().filled(added.today());
    begin();
    workspace
        .window()
        .action()
        .set(
            added.fills()
                + (added.fills() == 1 ? " fill added" : " fills added")
                + (added.known() == 0 ? "" : ", " + added.known() + " known already")
                + (added.wrong().isEmpty() ? "" : ", not saved yet: " + added.wrong())
                + (added.forgotten().isEmpty()
                    ? ""
                    : "; its columns could not be kept: " + added.forgotten()));
    // What was held when the day began may be another thing now.
    if (added.others() && added.fills() > 0) {
      workspace.navigation().readAgain();
    }
  }
}
