package kelvo.desktop.chart;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;

/** The levels of one painting of a chart; their names stand over everything else. */
final class LevelLines {
  private static final double LEGEND_HEIGHT = 18;
  private static final double LABEL_HEIGHT = 12;
  private static final double LEFT = 4;

  /** A letter of a level's name is hardly ever wider. */
  private static final double LETTER_WIDTH = 5.4;

  private final GraphicsContext g;
  private final Theme theme;
  private final Axis axis;
  private final double width;
  private final List<Name> names = new ArrayList<>();

  private record Name(String text, double left, double top, Tone tone) {
    double right() {
      return left + text.length() * LETTER_WIDTH + 8;
    }
  }

  LevelLines(GraphicsContext g, Theme theme, Axis axis, double width) {
    this.g = g;
    this.theme = theme;
    this.axis = axis;
    this.width = width;
  }

  /** A level across the chart with its name and price. */
  void level(double dollars, String name, Tone tone) {
    double y = Math.round(axis.y(dollars)) + 0.5;
    if (y < axis.top() || y > axis.top() + axis.height()) {
      return;
    }
    g.setStroke(theme.colour(tone));
    g.setLineDashes(5, 3);
    g.strokeLine(0, y, width, y);
    g.setLineDashes();
    double above = y - LABEL_HEIGHT - 1;
    boolean underLegend = y < LEGEND_HEIGHT + LABEL_HEIGHT;
    double first = underLegend ? Math.max(y + 1, LEGEND_HEIGHT) : above;
    names.add(placed(name, tone, new double[] {first, y + 1, first - LABEL_HEIGHT}));
  }

  /** Where a name has room in one of some rows; at the left of the first when none has. */
  private Name placed(String name, Tone tone, double[] rows) {
    for (double top : rows) {
      double left = LEFT;
      for (Name other : names) {
        left = Math.abs(other.top() - top) < LABEL_HEIGHT ? Math.max(left, other.right()) : left;
      }
      Name tried = new Name(name, left, top, tone);
      if (tried.right() <= width && top >= axis.top()) {
        return tried;
      }
    }
    return new Name(name, LEFT, rows[0], tone);
  }

  /** A level that rises or falls across the chart, with its name where it stands now. */
  void slanted(double left, double right, double nowX, String name) {
    g.save();
    g.beginPath();
    g.rect(0, axis.top(), width, axis.height());
    g.clip();
    g.setStroke(theme.colour(Tone.INK));
    g.strokeLine(0, left, width, right);
    g.restore();
    double x = Math.clamp(nowX, 0, width);
    double y = left + (right - left) * x / width;
    if (y > axis.top() + LABEL_HEIGHT && y < axis.top() + axis.height()) {
      g.setFill(theme.colour(Tone.INK));
      g.setFont(Theme.font(10));
      g.setTextAlign(TextAlignment.RIGHT);
      g.setTextBaseline(VPos.BOTTOM);
      g.fillText(name, x - 4, y - 3);
    }
  }

  /** Paints the names, so that no line crosses them. */
  void names() {
    g.setFont(Theme.font(10));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.CENTER);
    for (Name name : names) {
      g.setFill(theme.colour(Tone.CARD));
      g.fillRect(name.left() - 2, name.top(), name.right() - name.left(), LABEL_HEIGHT);
      g.setFill(theme.colour(name.tone()));
      g.fillText(name.text(), name.left(), name.top() + LABEL_HEIGHT / 2);
    }
  }
}
