package kelvo.desktop.grid;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Tooltip;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.stage.FileChooser;
import javafx.util.Duration;
import kelvo.data.file.SpreadsheetCell;
import kelvo.desktop.theme.TextWidth;
import kelvo.desktop.theme.Theme;
import org.jspecify.annotations.Nullable;

/**
 * A list of rows painted on a canvas, for lists that change many times a second. Walks by keyboard,
 * copies as tab-separated text and exports as CSV (Ctrl+C, Ctrl+E), sorts by a click on a header,
 * and holds its order still while the pointer is on it: what would have moved waits and is counted.
 */
public final class Grid<R> extends Region {
  /** Height of a row in pixels. */
  public static final double ROW_HEIGHT = 26;

  private final Canvas canvas = new Canvas();
  private final GridPainter<R> painter;
  private final Function<R, Object> key;
  private final Tooltip tooltip = new Tooltip();
  private List<GridColumn<R>> columns = List.of();
  private List<R> rows = List.of();
  private List<R> given = List.of();
  private @Nullable List<R> waiting;
  private int waitingCount;
  private @Nullable Object selected;

  /** Whether the chosen row has not been seen yet. */
  private boolean revealing;

  private double scroll;
  private double sideways;
  private boolean onBar;
  private ColumnWidths widths = new ColumnWidths(List.of(), 0);
  private ToDoubleFunction<R> strength = row -> 1;
  private Function<R, String> more = row -> "";
  private boolean pointerInside;
  private Consumer<R> onSelect = row -> {};
  private String emptyText = "";
  private String sortedBy = "";
  private boolean descending;
  private CellMenu<R> cellMenu = (row, column, x, y) -> {};
  private @Nullable BiConsumer<R, R> onCarried;

  /** The row that is carried, once the mouse has left it with its button pressed. */
  private @Nullable R carried;

  private Consumer<String> told = text -> {};
  private Theme theme = Theme.DAYBREAK;

  /**
   * An empty grid.
   *
   * @param name told by screen readers
   * @param key what makes a row the same row after an update
   */
  public Grid(String name, Function<R, Object> key) {
    this.key = key;
    painter = new GridPainter<>(canvas);
    getChildren().add(canvas);
    setFocusTraversable(true);
    setAccessibleRole(AccessibleRole.TABLE_VIEW);
    setAccessibleText(name);
    setMinSize(0, 0);
    tooltip.setShowDelay(Duration.millis(400));
    addEventHandler(MouseEvent.MOUSE_PRESSED, this::press);
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
    setOnScroll(
        e -> {
          scrollSideways(-(e.isShiftDown() && e.getDeltaX() == 0 ? e.getDeltaY() : e.getDeltaX()));
          scrollBy(e.isShiftDown() ? 0 : -e.getDeltaY());
        });
    setOnMouseDragged(this::drag);
    setOnContextMenuRequested(this::menu);
    setOnMouseEntered(e -> pointerInside = true);
    setOnMouseMoved(this::help);
    setOnMouseExited(e -> letGo());
    focusedProperty().addListener((o, was, is) -> paint());
  }

  /** Sets other columns; the rows that follow are for them, so those shown go. */
  public void columns(List<GridColumn<R>> wanted) {
    columns = List.copyOf(wanted);
    sideways = 0;
    share();
    rows = List.of();
    waiting = null;
    paint();
  }

  private void share() {
    double bar = rows.size() > visibleRows() ? GridPainter.BAR_WIDTH : 0;
    widths = new ColumnWidths(columns, getWidth() - bar);
  }

  /** How strongly rows are painted, 0 to 1: some stand back behind the others. */
  public void strength(ToDoubleFunction<R> of) {
    strength = of;
  }

  /** What rows have in common; a line stands between two that do not. */
  public void groups(Function<R, Object> of) {
    painter.groups(of);
  }

  /** What a row tells when it is pointed at, beside what is cut. */
  public void more(Function<R, String> of) {
    more = of;
  }

  /** What is called when a row is chosen. */
  public void onSelect(Consumer<R> handler) {
    onSelect = handler;
  }

  /** Hears of a cell on which a menu was asked for: its row, its column's place, the screen's. */
  @FunctionalInterface
  public interface CellMenu<R> {
    void open(R row, int column, double x, double y);
  }

  /** What is called when a menu is asked for on a cell. */
  public void onCellMenu(CellMenu<R> handler) {
    cellMenu = handler;
  }

  /**
   * Lets rows be carried to the place of another by the mouse, while they stand in the list's own
   * order.
   */
  public void onCarried(BiConsumer<R, R> handler) {
    onCarried = handler;
    setOnMouseReleased(this::drop);
  }

  /** Who hears what an export did, in words. */
  public void onTold(Consumer<String> listener) {
    told = listener;
  }

  /** What stands where rows would be when there are none. */
  public void emptyText(String text) {
    emptyText = text;
    paint();
  }

  /** Uses another theme. */
  public void theme(Theme other) {
    theme = other;
    paint();
  }

  /** Shows these rows. While the pointer is on the grid, rows already shown keep their places. */
  public void rows(List<R> asGiven) {
    given = asGiven;
    List<R> wanted = ordered(asGiven);
    if (!pointerInside || rows.isEmpty()) {
      waiting = null;
      waitingCount = 0;
      boolean hadBar = rows.size() > visibleRows();
      rows = List.copyOf(wanted);
      if (hadBar != rows.size() > visibleRows()) {
        share();
      }
      if (revealing) {
        reveal();
      }
    } else {
      hold(wanted);
    }
    paint();
  }

  /** Shows the rows of another list at once: nobody reads on in a list that is gone. */
  public void otherRows(List<R> asGiven) {
    rows = List.of();
    scroll = 0;
    rows(asGiven);
  }

  private List<R> ordered(List<R> asGiven) {
    for (GridColumn<R> column : columns) {
      if (!sortedBy.isEmpty() && column.title().equals(sortedBy)) {
        return asGiven.stream().sorted(ShownOrder.of(column, descending)).toList();
      }
    }
    return asGiven;
  }

  /**
   * Sorts by a column: the largest first, then the smallest first, then in the list's own order.
   */
  private void sortBy(GridColumn<R> column) {
    if (!column.title().equals(sortedBy)) {
      sortedBy = column.title();
      descending = true;
    } else if (descending) {
      descending = false;
    } else {
      sortedBy = "";
    }
    waiting = null;
    waitingCount = 0;
    rows = List.copyOf(ordered(given));
    scroll = 0;
    paint();
  }

  private @Nullable GridColumn<R> columnAt(double x) {
    int column = widths.at(x + sideways);
    return column < 0 ? null : columns.get(column);
  }

  private void hold(List<R> wanted) {
    Map<Object, R> fresh = new HashMap<>();
    wanted.forEach(row -> fresh.put(key.apply(row), row));
    List<R> held = new ArrayList<>();
    Set<Object> shown = new HashSet<>();
    for (R row : rows) {
      held.add(fresh.getOrDefault(key.apply(row), row));
      shown.add(key.apply(row));
    }
    waitingCount = (int) wanted.stream().filter(row -> !shown.contains(key.apply(row))).count();
    waiting = wanted;
    rows = held;
  }

  private void letGo() {
    pointerInside = false;
    if (waiting != null) {
      rows(given);
    }
  }

  /** The rows as shown. */
  public List<R> rows() {
    return rows;
  }

  /** How many rows can be seen without scrolling. */
  public int visibleRows() {
    return Math.clamp(
        (int) ((getHeight() - GridPainter.HEADER_HEIGHT) / ROW_HEIGHT), 0, rows.size());
  }

  /** Chooses a row by its key, without telling anyone. */
  public void select(@Nullable Object rowKey) {
    selected = rowKey;
    revealing = true;
    scroll = selectedIndex() < 0 ? 0 : scroll;
    reveal();
    paint();
  }

  /** Chooses the row of this key where it is, without going there. */
  public void mark(@Nullable Object rowKey) {
    selected = rowKey;
    revealing = false;
    paint();
  }

  /** The chosen row; empty for none. */
  public Optional<R> selected() {
    int index = selectedIndex();
    return index < 0 ? Optional.empty() : Optional.of(rows.get(index));
  }

  /** Chooses the row so many places further and tells about it. */
  public void move(int places) {
    int index = selectedIndex();
    chooseIfThere(index < 0 ? 0 : Math.clamp(index + places, 0, rows.size() - 1));
  }

  private void chooseIfThere(int index) {
    if (!rows.isEmpty()) {
      choose(index);
    }
  }

  private int selectedIndex() {
    for (int i = 0; i < rows.size(); i++) {
      if (key.apply(rows.get(i)).equals(selected)) {
        return i;
      }
    }
    return -1;
  }

  private void choose(int index) {
    R row = rows.get(index);
    selected = key.apply(row);
    setAccessibleText(painter.line(row, columns, ", "));
    reveal();
    paint();
    onSelect.accept(row);
  }

  private void reveal() {
    int index = selectedIndex();
    double body = getHeight() - GridPainter.HEADER_HEIGHT;
    if (index >= 0 && body > ROW_HEIGHT) {
      double top = index * ROW_HEIGHT;
      scroll = Math.clamp(scroll, Math.max(0, top + ROW_HEIGHT - body), Math.max(0, top));
      revealing = false;
    }
  }

  private void press(MouseEvent event) {
    requestFocus();
    onBar = event.getX() > getWidth() - GridPainter.BAR_WIDTH && rows.size() > visibleRows();
    if (onBar) {
      scrollTo(event);
      return;
    }
    GridColumn<R> header = event.getY() < GridPainter.HEADER_HEIGHT ? columnAt(event.getX()) : null;
    if (header != null) {
      sortBy(header);
      return;
    }
    int index = rowAt(event.getY());
    if (index >= 0) {
      choose(index);
    }
  }

  /** The row that was pressed comes along once the mouse is over another one. */
  private void drag(MouseEvent event) {
    if (onBar) {
      scrollTo(event);
      return;
    }
    boolean carries =
        onCarried != null && sortedBy.isEmpty() && event.getButton() == MouseButton.PRIMARY;
    if (carries && carried == null && rowAt(event.getY()) != selectedIndex()) {
      carried = selected().orElse(null);
    }
    if (carried != null) {
      setCursor(Cursor.MOVE);
    }
  }

  private void drop(MouseEvent event) {
    R row = carried;
    carried = null;
    setCursor(Cursor.DEFAULT);
    int index = rowAt(event.getY());
    BiConsumer<R, R> handler = onCarried;
    if (row != null && handler != null && index >= 0 && index != selectedIndex()) {
      R place = rows.get(index);
      // It is to be seen at once where it was put, though the pointer is still there.
      pointerInside = false;
      handler.accept(row, place);
    }
  }

  /** The bar's handle is dragged, or pressed to come there. */
  private void scrollTo(MouseEvent event) {
    if (onBar) {
      double body = getHeight() - GridPainter.HEADER_HEIGHT;
      double part = Math.clamp((event.getY() - GridPainter.HEADER_HEIGHT) / body, 0, 1);
      scroll = part * mostScroll();
      paint();
    }
  }

  private double mostScroll() {
    return Math.max(0, rows.size() * ROW_HEIGHT - (getHeight() - GridPainter.HEADER_HEIGHT));
  }

  private int rowAt(double y) {
    int index = (int) ((y - GridPainter.HEADER_HEIGHT + scroll) / ROW_HEIGHT);
    return y >= GridPainter.HEADER_HEIGHT && index < rows.size() ? index : -1;
  }

  private void menu(ContextMenuEvent event) {
    GridColumn<R> column = columnAt(event.getX());
    int index = rowAt(event.getY());
    if (column != null && index >= 0) {
      cellMenu.open(
          rows.get(index), columns.indexOf(column), event.getScreenX(), event.getScreenY());
    }
  }

  private void key(KeyEvent event) {
    int page = Math.max(1, visibleRows() - 1);
    boolean used = true;
    switch (event.getCode()) {
      case DOWN -> move(1);
      case UP -> move(-1);
      case PAGE_DOWN -> move(page);
      case PAGE_UP -> move(-page);
      case HOME -> chooseIfThere(0);
      case END -> chooseIfThere(rows.size() - 1);
      default ->
          used =
              event.isShortcutDown()
                  && switch (event.getCode()) {
                    case C -> copy();
                    case E -> export();
                    default -> false;
                  };
    }
    if (used) {
      event.consume();
    }
  }

  private boolean copy() {
    StringBuilder text =
        new StringBuilder(String.join("\t", columns.stream().map(GridColumn::title).toList()));
    rows.forEach(row -> text.append('\n').append(painter.line(row, columns, "\t")));
    ClipboardContent content = new ClipboardContent();
    content.putString(text.toString());
    Clipboard.getSystemClipboard().setContent(content);
    return true;
  }

  private boolean export() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("Export the list");
    chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Tables", "*.csv"));
    File file = chooser.showSaveDialog(getScene().getWindow());
    if (file != null) {
      told.accept(write(file.toPath()));
    }
    return true;
  }

  /** Writes the rows as CSV; returns what happened, in words. */
  String write(Path file) {
    try (CsvWriter csv = CsvWriter.builder().build(file, StandardCharsets.UTF_8)) {
      csv.writeRecord(columns.stream().map(GridColumn::title).toList());
      for (R row : rows) {
        csv.writeRecord(
            columns.stream().map(c -> SpreadsheetCell.of(c.text().apply(row))).toList());
      }
      return "Wrote " + rows.size() + " rows to " + file.getFileName();
    } catch (IOException e) {
      return file.getFileName() + " could not be written; choose another place";
    }
  }

  private void scrollBy(double pixels) {
    scroll = Math.clamp(scroll + pixels, 0, mostScroll());
    paint();
  }

  private void scrollSideways(double pixels) {
    sideways = Math.clamp(sideways + pixels, 0, Math.max(0, widths.all() - getWidth()));
  }

  /** A header says what its column is; a cell that is cut, the whole of it. */
  private void help(MouseEvent event) {
    int place = widths.at(event.getX() + sideways);
    String told = "";
    if (place >= 0 && event.getY() < GridPainter.HEADER_HEIGHT) {
      told = columns.get(place).help() + " Click to sort.";
    } else if (place >= 0 && rowAt(event.getY()) >= 0) {
      String text = columns.get(place).text().apply(rows.get(rowAt(event.getY())));
      double width = TextWidth.of(text, GridPainter.font(columns.get(place)));
      boolean cut = width > widths.width(place) - 2 * ColumnWidths.PAD;
      told = ((cut ? text : "") + "\n" + more.apply(rows.get(rowAt(event.getY())))).strip();
    }
    if (told.isEmpty()) {
      Tooltip.uninstall(this, tooltip);
    } else {
      tooltip.setText(told);
      Tooltip.install(this, tooltip);
    }
  }

  @Override
  protected void layoutChildren() {
    canvas.setWidth(getWidth());
    canvas.setHeight(getHeight());
    share();
    scrollSideways(0);
    scrollBy(0);
  }

  private void paint() {
    painter.paint(
        theme,
        columns,
        widths,
        rows,
        new GridPainter.View(
            scroll,
            sideways,
            selectedIndex(),
            isFocused(),
            waitingCount,
            emptyText,
            sortedBy,
            descending),
        key,
        strength);
  }
}
