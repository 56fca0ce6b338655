package kelvo.desktop.grid;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import javafx.animation.AnimationTimer;
import javafx.geometry.Rectangle2D;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.TextWidth;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;

/** Paints the visible rows of a grid. A cell whose text changed keeps a tint that fades. */
final class GridPainter<R> {
  static final double HEADER_HEIGHT = 26;
  static final double HEADER_FONT = 11;
  static final double BAR_WIDTH = 8;

  private static final double BODY_FONT = 13;
  private static final double SHORTEST_THUMB = 24;
  private static final long FADE_NANOS = 600_000_000L;
  private static final double TINT = 0.28;

  /** What is seen of the rows. */
  record View(
      double scroll,
      double sideways,
      int selected,
      boolean focused,
      int waiting,
      String emptyText,
      String sortedBy,
      boolean descending) {}

  private record Cell(Object row, int column) {}

  private record Shown(String text, long changedAt) {}

  private final Canvas canvas;
  private Map<Cell, Shown> shown = new HashMap<>();
  private Map<Cell, Shown> shownNow = new HashMap<>();
  private final AnimationTimer fading =
      new AnimationTimer() {
        @Override
        public void handle(long now) {
          again.run();
        }
      };
  private Function<R, Object> group = row -> "";
  private Runnable again = () -> {};
  private boolean runs;

  GridPainter(Canvas canvas) {
    this.canvas = canvas;
  }

  void groups(Function<R, Object> of) {
    group = of;
  }

  String line(R row, List<GridColumn<R>> columns, String separator) {
    return String.join(separator, columns.stream().map(c -> c.text().apply(row)).toList());
  }

  /** The font of a cell: symbols stand out, numbers and words are told apart. */
  static Font font(GridColumn<?> column) {
    return column.strong()
        ? Theme.strongFont(BODY_FONT)
        : column.right() ? Theme.font(BODY_FONT) : Theme.condensed(BODY_FONT);
  }

  void paint(
      Theme theme,
      List<GridColumn<R>> columns,
      ColumnWidths widths,
      List<R> rows,
      View view,
      Function<R, Object> key,
      ToDoubleFunction<R> strength) {
    again = () -> paint(theme, columns, widths, rows, view, key, strength);
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
    shownNow = new HashMap<>();
    for (int i = first; i <= last; i++) {
      double y = HEADER_HEIGHT + i * Grid.ROW_HEIGHT - view.scroll();
      ground(g, theme, y, i == view.selected(), view.focused());
      if (i > 0 && !group.apply(rows.get(i)).equals(group.apply(rows.get(i - 1)))) {
        g.setFill(theme.colour(Tone.EDGE));
        g.fillRect(0, y - 1.5, width, 2);
      }
      g.save();
      g.translate(-view.sideways(), 0);
      g.setGlobalAlpha(strength.applyAsDouble(rows.get(i)));
      fades |= row(g, theme, columns, widths, rows.get(i), y, key.apply(rows.get(i)));
      g.restore();
    }
    shown = shownNow;
    if (rows.isEmpty()) {
      empty(g, theme, view.emptyText(), width);
    }
    header(g, theme, columns, widths, view);
    bars(g, theme, widths, rows.size(), view);
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
      GraphicsContext g, Theme theme, List<GridColumn<R>> columns, ColumnWidths widths, View view) {
    double width = canvas.getWidth();
    g.setFill(theme.colour(Tone.CARD));
    g.fillRect(0, 0, width, HEADER_HEIGHT);
    g.setStroke(theme.colour(Tone.LINES));
    g.strokeLine(0, HEADER_HEIGHT - 0.5, width, HEADER_HEIGHT - 0.5);
    g.setFont(Theme.condensed(HEADER_FONT));
    g.setTextBaseline(VPos.CENTER);
    g.save();
    g.translate(-view.sideways(), 0);
    for (int c = 0; c < columns.size(); c++) {
      GridColumn<R> column = columns.get(c);
      double at =
          column.right()
              ? widths.left(c) + widths.width(c) - ColumnWidths.PAD
              : widths.left(c) + ColumnWidths.PAD;
      g.setFill(theme.colour(Tone.FADED));
      g.setTextAlign(column.right() ? TextAlignment.RIGHT : TextAlignment.LEFT);
      g.fillText(column.title(), at, HEADER_HEIGHT / 2);
      if (!column.title().isEmpty() && column.title().equals(view.sortedBy())) {
        sortMark(g, theme, at, view.descending());
      }
    }
    g.restore();
    if (view.waiting() > 0) {
      g.setFill(theme.colour(Tone.ACCENT));
      g.setTextAlign(TextAlignment.RIGHT);
      g.fillText(view.waiting() + " waiting", width - ColumnWidths.PAD, HEADER_HEIGHT / 2);
    }
  }

  private static void sortMark(GraphicsContext g, Theme theme, double x, boolean descending) {
    double tip = descending ? HEADER_HEIGHT - 2 : HEADER_HEIGHT - 6;
    double base = descending ? HEADER_HEIGHT - 6 : HEADER_HEIGHT - 2;
    g.setFill(theme.colour(Tone.ACCENT));
    g.fillPolygon(new double[] {x - 4, x + 4, x}, new double[] {base, base, tip}, 3);
  }

  private void ground(GraphicsContext g, Theme theme, double y, boolean selected, boolean focused) {
    if (selected) {
      g.setFill(theme.colour(Tone.SELECTION));
      g.fillRect(0, y, canvas.getWidth(), Grid.ROW_HEIGHT);
      g.setFill(theme.colour(focused ? Tone.ACCENT : Tone.FADED));
      g.fillRect(0, y, 3, Grid.ROW_HEIGHT);
    }
    g.setStroke(theme.colour(Tone.HAIR));
    g.strokeLine(0, y + Grid.ROW_HEIGHT - 0.5, canvas.getWidth(), y + Grid.ROW_HEIGHT - 0.5);
  }

  private boolean row(
      GraphicsContext g,
      Theme theme,
      List<GridColumn<R>> columns,
      ColumnWidths widths,
      R row,
      double y,
      Object rowKey) {
    boolean fades = false;
    g.setTextBaseline(VPos.CENTER);
    for (int c = 0; c < columns.size(); c++) {
      GridColumn<R> column = columns.get(c);
      Rectangle2D cell = new Rectangle2D(widths.left(c), y, widths.width(c), Grid.ROW_HEIGHT - 1);
      GridColumn.Picture<R> picture = column.picture();
      if (picture != null) {
        picture.paint(g, theme, row, cell);
        continue;
      }
      String text = column.text().apply(row);
      fades |= tint(g, theme, new Cell(rowKey, c), text, cell);
      Font font = font(column);
      g.setFont(font);
      g.setFill(theme.colour(column.tone().apply(row)));
      g.setTextAlign(column.right() ? TextAlignment.RIGHT : TextAlignment.LEFT);
      g.fillText(
          TextWidth.cut(text, font, cell.getWidth() - 2 * ColumnWidths.PAD),
          column.right() ? cell.getMaxX() - ColumnWidths.PAD : cell.getMinX() + ColumnWidths.PAD,
          y + Grid.ROW_HEIGHT / 2);
    }
    return fades;
  }

  private boolean tint(GraphicsContext g, Theme theme, Cell cell, String text, Rectangle2D place) {
    long now = System.nanoTime();
    Shown before = shown.get(cell);
    if (before == null || !before.text().equals(text)) {
      before = new Shown(text, before == null ? now - FADE_NANOS : now);
    }
    shownNow.put(cell, before);
    double left = 1 - (now - before.changedAt()) / (double) FADE_NANOS;
    if (left <= 0) {
      return false;
    }
    Color colour = theme.colour(Tone.ACCENT);
    g.setFill(Color.color(colour.getRed(), colour.getGreen(), colour.getBlue(), TINT * left));
    g.fillRect(place.getMinX(), place.getMinY(), place.getWidth(), place.getHeight());
    return true;
  }

  /** What is seen of all there is, down and across; nothing where all is seen. */
  private void bars(GraphicsContext g, Theme theme, ColumnWidths widths, int rows, View view) {
    double body = canvas.getHeight() - HEADER_HEIGHT;
    double all = rows * Grid.ROW_HEIGHT;
    g.setFill(theme.colour(Tone.EDGE));
    if (all > body && body > 0) {
      double thumb = Math.max(SHORTEST_THUMB, body * body / all);
      double at = view.scroll() / (all - body) * (body - thumb);
      g.fillRoundRect(
          canvas.getWidth() - BAR_WIDTH + 2, HEADER_HEIGHT + at, BAR_WIDTH - 4, thumb, 4, 4);
    }
    double width = canvas.getWidth();
    if (widths.all() > width) {
      double thumb = Math.max(SHORTEST_THUMB, width * width / widths.all());
      double at = view.sideways() / (widths.all() - width) * (width - thumb);
      g.fillRoundRect(at, canvas.getHeight() - BAR_WIDTH + 2, thumb, BAR_WIDTH - 4, 4, 4);
    }
  }

  private static void empty(GraphicsContext g, Theme theme, String text, double width) {
    g.setFont(Theme.font(BODY_FONT));
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
