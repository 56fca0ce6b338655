package kelvo.desktop.grid;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import javafx.animation.AnimationTimer;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;

/** Paints the visible rows of a grid. A cell whose text changed keeps a tint that fades. */
final class GridPainter<R> {
  static final double HEADER_HEIGHT = 34;

  /** Width of a character of running text, pixels. */
  private static final double CHARACTER_WIDTH = 5.9;

  private static final double PAD = 6;
  private static final long FADE_NANOS = 600_000_000L;
  private static final double TINT = 0.28;

  /** What is seen of the rows. */
  record View(
      double scroll,
      int selected,
      boolean focused,
      int waiting,
      String emptyText,
      String sortedBy,
      boolean descending) {}

  private record Cell(Object row, int column) {}

  private record Shown(String text, long changedAt) {}

  private final Canvas canvas;
  private final Map<Cell, Shown> shown = new HashMap<>();
  private final AnimationTimer fading =
      new AnimationTimer() {
        @Override
        public void handle(long now) {
          again.run();
        }
      };
  private Runnable again = () -> {};
  private boolean runs;

  GridPainter(Canvas canvas) {
    this.canvas = canvas;
  }

  String line(R row, List<GridColumn<R>> columns, String separator) {
    return String.join(separator, columns.stream().map(c -> c.text().apply(row)).toList());
  }

  void paint(
      Theme theme, List<GridColumn<R>> columns, List<R> rows, View view, Function<R, Object> key) {
    again = () -> paint(theme, columns, rows, view, key);
    double width = canvas.getWidth();
    double height = canvas.getHeight();
    if (width <= 0 || height <= 0) {
      return;
    }
    GraphicsContext g = canvas.getGraphicsContext2D();
    g.setFill(theme.colour(Tone.CARD));
    g.fillRect(0, 0, width, height);
    int first = (int) (view.scroll() / Grid.ROW_HEIGHT);
    int last =
        Math.min(
            rows.size() - 1, (int) ((view.scroll() + height - HEADER_HEIGHT) / Grid.ROW_HEIGHT));
    boolean fades = false;
    for (int i = first; i <= last; i++) {
      double y = HEADER_HEIGHT + i * Grid.ROW_HEIGHT - view.scroll();
      fades |=
          row(
              g,
              theme,
              columns,
              rows.get(i),
              y,
              i == view.selected(),
              view.focused(),
              key.apply(rows.get(i)));
    }
    if (rows.isEmpty()) {
      empty(g, theme, view.emptyText(), width);
    }
    header(g, theme, columns, width, view);
    animate(fades);
  }

  private void animate(boolean fades) {
    if (fades != runs) {
      runs = fades;
      if (fades) {
        fading.start();
      } else {
        fading.stop();
      }
    }
  }

  private void header(
      GraphicsContext g, Theme theme, List<GridColumn<R>> columns, double width, View view) {
    g.setFill(theme.colour(Tone.GROUND));
    g.fillRect(0, 0, width, HEADER_HEIGHT);
    g.setStroke(theme.colour(Tone.LINES));
    g.strokeLine(0, HEADER_HEIGHT - 0.5, width, HEADER_HEIGHT - 0.5);
    g.setFont(Theme.font(11));
    g.setFill(theme.colour(Tone.FADED));
    g.setTextBaseline(VPos.CENTER);
    double x = 0;
    for (GridColumn<R> column : columns) {
      int space = middleSpace(column.title());
      boolean two = space > 0 && column.title().length() * 5.6 > column.width() - PAD;
      if (two) {
        text(g, column.title().substring(0, space), x, column, 10);
        text(g, column.title().substring(space + 1), x, column, 23);
      } else {
        text(g, column.title(), x, column, HEADER_HEIGHT / 2);
      }
      if (column.title().equals(view.sortedBy())) {
        sortMark(g, theme, x + (column.right() ? column.width() - PAD : PAD), view.descending());
      }
      x += column.width();
    }
    int waiting = view.waiting();
    if (waiting > 0) {
      g.setFill(theme.colour(Tone.ACCENT));
      g.setTextAlign(TextAlignment.RIGHT);
      g.fillText(waiting + " waiting", width - PAD, HEADER_HEIGHT / 2);
    }
  }

  private static void sortMark(GraphicsContext g, Theme theme, double x, boolean descending) {
    double tip = descending ? HEADER_HEIGHT - 2 : HEADER_HEIGHT - 6;
    double base = descending ? HEADER_HEIGHT - 6 : HEADER_HEIGHT - 2;
    g.setFill(theme.colour(Tone.ACCENT));
    g.fillPolygon(new double[] {x - 4, x + 4, x}, new double[] {base, base, tip}, 3);
    g.setFill(theme.colour(Tone.FADED));
  }

  /** The space nearest to the middle of a title; -1 when it has none. */
  private static int middleSpace(String title) {
    int after = title.indexOf(' ', title.length() / 2);
    int before = title.lastIndexOf(' ', title.length() / 2);
    return after >= 0 && (before < 0 || after - title.length() / 2 < title.length() / 2 - before)
        ? after
        : before;
  }

  private boolean row(
      GraphicsContext g,
      Theme theme,
      List<GridColumn<R>> columns,
      R row,
      double y,
      boolean selected,
      boolean focused,
      Object rowKey) {
    if (selected) {
      g.setFill(theme.colour(Tone.SELECTION));
      g.fillRect(0, y, canvas.getWidth(), Grid.ROW_HEIGHT);
      g.setFill(theme.colour(focused ? Tone.ACCENT : Tone.FADED));
      g.fillRect(0, y, 3, Grid.ROW_HEIGHT);
    }
    boolean fades = false;
    double x = 0;
    g.setTextBaseline(VPos.CENTER);
    for (int c = 0; c < columns.size(); c++) {
      GridColumn<R> column = columns.get(c);
      String text = column.text().apply(row);
      fades |= tint(g, theme, new Cell(rowKey, c), text, x, y, column.width());
      g.setFont(c == 0 ? Theme.strongFont(12) : Theme.font(12));
      g.setFill(theme.colour(column.tone().apply(row)));
      text(g, text, x, column, y + Grid.ROW_HEIGHT / 2);
      x += column.width();
    }
    g.setStroke(theme.colour(Tone.LINES).deriveColor(0, 1, 1, 0.5));
    g.strokeLine(0, y + Grid.ROW_HEIGHT - 0.5, canvas.getWidth(), y + Grid.ROW_HEIGHT - 0.5);
    return fades;
  }

  private boolean tint(
      GraphicsContext g, Theme theme, Cell cell, String text, double x, double y, double width) {
    long now = System.nanoTime();
    Shown before = shown.get(cell);
    if (before == null || !before.text().equals(text)) {
      before = new Shown(text, before == null ? now - FADE_NANOS : now);
      shown.put(cell, before);
    }
    double left = 1 - (now - before.changedAt()) / (double) FADE_NANOS;
    if (left <= 0) {
      return false;
    }
    Color colour = theme.colour(Tone.ACCENT);
    g.setFill(Color.color(colour.getRed(), colour.getGreen(), colour.getBlue(), TINT * left));
    g.fillRect(x, y, width, Grid.ROW_HEIGHT - 1);
    return true;
  }

  private static void text(
      GraphicsContext g, String text, double x, GridColumn<?> column, double y) {
    g.setTextAlign(column.right() ? TextAlignment.RIGHT : TextAlignment.LEFT);
    g.fillText(
        column.right() ? text : shortened(text, column.width()),
        column.right() ? x + column.width() - PAD : x + PAD + 2,
        y,
        column.width() - PAD);
  }

  /** Words that would have to be squeezed to be read are cut short. */
  private static String shortened(String words, double width) {
    int most = (int) (width / CHARACTER_WIDTH);
    return words.length() <= most ? words : words.substring(0, most - 1).stripTrailing() + "…";
  }

  private static void empty(GraphicsContext g, Theme theme, String text, double width) {
    g.setFont(Theme.font(12));
    g.setFill(theme.colour(Tone.FADED));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.TOP);
    double y = HEADER_HEIGHT + 12;
    for (String line : text.split("\n")) {
      g.fillText(line, 12, y, width - 24);
      y += 18;
    }
  }
}
