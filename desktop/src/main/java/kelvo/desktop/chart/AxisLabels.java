package kelvo.desktop.chart;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;

/**
 * What stands at the price axis of one painting: the price of now at its height, the names of
 * levels beside it, moved apart where they are close, and the steps of the scale where there is
 * room.
 */
final class AxisLabels {
  private static final double APART = 13;
  private static final double LEFT = 6;
  private static final double TAG_HEIGHT = 18;

  private final double axisLeft;
  private final double width;
  private final double top;
  private final double bottom;
  private final List<Label> levels = new ArrayList<>();
  private final List<Label> steps = new ArrayList<>();
  private Label price = new Label(Double.NaN, "", Tone.INK);

  /** A label whose line stands at a height. */
  record Label(double at, String text, Tone tone) {
    private Label movedTo(double height) {
      return new Label(height, text, tone);
    }
  }

  /** Labels right of a plot. */
  AxisLabels(double axisLeft, double width, double top, double bottom) {
    this.axisLeft = axisLeft;
    this.width = width;
    this.top = top;
    this.bottom = bottom;
  }

  /** A step of the scale; left out where something else stands. */
  void step(double at, String text) {
    steps.add(new Label(at, text, Tone.FADED));
  }

  /** A level. */
  void level(double at, String text, Tone tone) {
    if (at >= top && at <= bottom) {
      levels.add(new Label(at, text, tone));
    }
  }

  /** The price of now; at the edge when it is beyond it. */
  void price(double at, String text, Tone tone) {
    price = new Label(Math.clamp(at, top, bottom), text, tone);
  }

  /** The names of the levels where they have room, from the top down. */
  List<Label> placed() {
    boolean priced = !Double.isNaN(price.at);
    double middle = priced ? price.at : (top + bottom) / 2;
    List<Label> placed = new ArrayList<>();
    double free = middle + (priced ? (APART + TAG_HEIGHT) / 2 : 0);
    for (Label label : sorted(levels.stream().filter(l -> l.at >= middle).toList(), 1)) {
      double at = Math.max(label.at, free);
      if (at <= bottom) {
        placed.add(label.movedTo(at));
        free = at + APART;
      }
    }
    free = middle - (priced ? (APART + TAG_HEIGHT) / 2 : APART);
    for (Label label : sorted(levels.stream().filter(l -> l.at < middle).toList(), -1)) {
      double at = Math.min(label.at, free);
      if (at >= top) {
        placed.addFirst(label.movedTo(at));
        free = at - APART;
      }
    }
    return placed;
  }

  private static List<Label> sorted(List<Label> labels, int direction) {
    return labels.stream()
        .sorted(Comparator.comparingDouble(label -> direction * label.at))
        .toList();
  }

  void paint(GraphicsContext g, Theme theme) {
    List<Label> placed = placed();
    g.setFont(Theme.condensed(11));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.CENTER);
    for (Label step : steps) {
      boolean free =
          placed.stream().allMatch(label -> Math.abs(label.at - step.at) >= APART)
              && !(Math.abs(price.at - step.at) < (APART + TAG_HEIGHT) / 2);
      if (free) {
        text(g, theme, step);
      }
    }
    placed.forEach(label -> text(g, theme, label));
    if (!Double.isNaN(price.at)) {
      tag(g, theme);
    }
  }

  private void text(GraphicsContext g, Theme theme, Label label) {
    g.setFill(theme.colour(label.tone));
    g.fillText(label.text, axisLeft + LEFT, label.at, width - 2 * LEFT);
  }

  private void tag(GraphicsContext g, Theme theme) {
    g.setFill(theme.colour(price.tone));
    g.fillRect(axisLeft, price.at - TAG_HEIGHT / 2, width, TAG_HEIGHT);
    g.setFill(theme.colour(Tone.CARD));
    g.setFont(Theme.strongFont(12));
    g.fillText(price.text, axisLeft + LEFT, price.at, width - LEFT);
  }
}
