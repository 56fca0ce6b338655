package kelvo.desktop.live;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Rectangle2D;
import javafx.scene.canvas.GraphicsContext;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.tape.Price;
import kelvo.view.WatchView.Watched;

/** A plan on a scale of prices: its stop, its levels and targets, the entry, and where price is. */
final class PlanScale {
  private static final double EDGE = 8;
  private static final double DOT = 4;

  private PlanScale() {}

  /** What the scale shows, in words. */
  static String words(Watched row) {
    List<String> words = new ArrayList<>();
    for (Level level : row.watching().levels()) {
      words.add(level.words(row.moment()));
    }
    if (row.watching().held() != null) {
      words.add("entry " + Price.text(Price.of(row.watching().held().entryPrice())));
    }
    words.add("now " + Price.text(row.card().price()));
    return String.join(" · ", words);
  }

  static void paint(GraphicsContext g, Theme theme, Watched row, Rectangle2D cell) {
    List<Double> prices = new ArrayList<>();
    double now = Price.dollars(row.card().price());
    row.watching()
        .levels()
        .forEach(level -> prices.add(Price.dollars(level.priceAt(row.moment()))));
    if (row.watching().held() != null) {
      prices.add(row.watching().held().entryPrice());
    }
    if (prices.isEmpty() || now <= 0) {
      return;
    }
    double low = Math.min(now, prices.stream().mapToDouble(p -> p).min().orElse(now));
    double high = Math.max(now, prices.stream().mapToDouble(p -> p).max().orElse(now));
    double middle = cell.getMinY() + cell.getHeight() / 2;
    double left = cell.getMinX() + EDGE;
    double width = cell.getWidth() - 2 * EDGE;
    double span = high > low ? high - low : 1;
    g.setStroke(theme.colour(Tone.LINES));
    g.setLineWidth(2);
    g.strokeLine(left, middle, left + width, middle);
    for (Level level : row.watching().levels()) {
      double x = left + (Price.dollars(level.priceAt(row.moment())) - low) / span * width;
      g.setStroke(theme.colour(tone(level.kind())));
      g.strokeLine(x, middle - 7, x, middle + 7);
    }
    if (row.watching().held() != null) {
      double x = left + (row.watching().held().entryPrice() - low) / span * width;
      g.setStroke(theme.colour(Tone.INK));
      g.strokeLine(x, middle - 7, x, middle + 7);
    }
    g.setLineWidth(1);
    g.setFill(theme.colour(Tone.INK));
    double x = left + (now - low) / span * width;
    g.fillOval(x - DOT, middle - DOT, 2 * DOT, 2 * DOT);
  }

  private static Tone tone(LevelKind kind) {
    return switch (kind) {
      case STOP -> Tone.BAD;
      case TARGET -> Tone.GOOD;
      default -> Tone.ACCENT;
    };
  }
}
