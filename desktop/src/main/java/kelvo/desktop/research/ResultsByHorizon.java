package kelvo.desktop.research;

import java.util.List;
import java.util.function.BiConsumer;
import javafx.beans.value.ObservableValue;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Painted;
import kelvo.desktop.theme.PointedWords;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.research.Held;
import kelvo.research.ResearchCase;

/** How the results lie at four horizons, all at one scale; a click picks the cases of a bar. */
final class ResultsByHorizon extends Painted {
  private static final List<Held> SHOWN =
      List.of(Held.QUARTER_HOUR, Held.HOUR, Held.CLOSE, Held.NEXT_CLOSE);
  private static final int BARS = 30;

  /** The scale ends here; what lies beyond stands in the last bar of its side. */
  private static final double ENDS = 0.15;

  private static final double HEAD = 22;
  private static final double FOOT = 18;
  private static final double EDGE = 12;

  private List<ResearchCase> cases = List.of();
  private final int[][] counts = new int[SHOWN.size()][BARS];
  private int most;

  /**
   * Nothing yet.
   *
   * @param onPick takes the cases of a bar, and what they are
   */
  ResultsByHorizon(ObservableValue<Theme> theme, BiConsumer<List<ResearchCase>, String> onPick) {
    super(theme);
    setId("results-by-horizon");
    setAccessibleText("How the results lie at four horizons");
    setPrefHeight(120);
    PointedWords.of(this, this::words);
    setOnMousePressed(
        e -> {
          int picture = picture(e);
          int bar = bar(e);
          if (bar >= 0 && counts[picture][bar] > 0) {
            onPick.accept(of(picture, bar), words(picture, bar));
          }
        });
  }

  void show(List<ResearchCase> all) {
    cases = all;
    most = 0;
    for (int picture = 0; picture < SHOWN.size(); picture++) {
      for (int bar = 0; bar < BARS; bar++) {
        counts[picture][bar] = of(picture, bar).size();
        most = Math.max(most, counts[picture][bar]);
      }
    }
    repaint();
  }

  private List<ResearchCase> of(int picture, int bar) {
    return cases.stream()
        .filter(one -> !Double.isNaN(one.result(SHOWN.get(picture))))
        .filter(one -> barOf(one.result(SHOWN.get(picture))) == bar)
        .toList();
  }

  private static int barOf(double result) {
    return (int) Math.clamp(Math.floor((result + ENDS) / (2 * ENDS) * BARS), 0, BARS - 1);
  }

  private double width() {
    return getWidth() / SHOWN.size();
  }

  private double step() {
    return (width() - 2 * EDGE) / BARS;
  }

  private int picture(MouseEvent event) {
    return (int) Math.clamp(event.getX() / width(), 0, SHOWN.size() - 1);
  }

  /** The bar under the pointer; -1 beside all of them. */
  private int bar(MouseEvent event) {
    double x = event.getX() - picture(event) * width() - EDGE;
    int bar = (int) Math.floor(x / step());
    return bar >= 0 && bar < BARS ? bar : -1;
  }

  private String words(MouseEvent event) {
    int bar = bar(event);
    return bar < 0 ? "" : words(picture(event), bar);
  }

  private String words(int picture, int bar) {
    double from = 100 * (2 * ENDS * bar / BARS - ENDS);
    double to = 100 * (2 * ENDS * (bar + 1) / BARS - ENDS);
    String between =
        bar == 0
            ? "below %+.0f%%".formatted(to)
            : bar == BARS - 1
                ? "%+.0f%% or more".formatted(from)
                : "from %+.0f%% to %+.0f%%".formatted(from, to);
    return counts[picture][bar] + " by " + SHOWN.get(picture).words() + " " + between;
  }

  @Override
  protected void paint(GraphicsContext g, Theme look) {
    double bottom = getHeight() - FOOT;
    for (int picture = 0; picture < SHOWN.size(); picture++) {
      double left = picture * width() + EDGE;
      double right = (picture + 1) * width() - EDGE;
      int known = 0;
      int won = 0;
      for (ResearchCase one : cases) {
        double result = one.result(SHOWN.get(picture));
        known += Double.isNaN(result) ? 0 : 1;
        won += result > 0 ? 1 : 0;
      }
      g.setFill(look.colour(Tone.INK));
      g.setTextAlign(TextAlignment.LEFT);
      g.fillText(SHOWN.get(picture).words(), left, 10);
      g.setFill(look.colour(Tone.FADED));
      g.setTextAlign(TextAlignment.RIGHT);
      g.fillText(known == 0 ? "" : Math.round(100.0 * won / known) + "% won", right, 10);
      for (int bar = 0; bar < BARS; bar++) {
        double height = most == 0 ? 0 : (bottom - HEAD) * counts[picture][bar] / most;
        g.setFill(look.colour(bar < BARS / 2 ? Tone.BAD : Tone.GOOD).deriveColor(0, 1, 1, 0.75));
        g.fillRect(left + bar * step(), bottom - height, Math.max(1, step() - 1), height);
      }
      double middle = Math.round((left + right) / 2) + 0.5;
      g.setStroke(look.colour(Tone.FADED));
      g.setLineDashes(2, 2);
      g.strokeLine(middle, HEAD - 4, middle, bottom);
      g.setLineDashes();
      g.setStroke(look.colour(Tone.HAIR));
      g.strokeLine(left, bottom + 0.5, right, bottom + 0.5);
      g.setFill(look.colour(Tone.FADED));
      g.setTextAlign(TextAlignment.LEFT);
      g.fillText("-15%", left, bottom + 9);
      g.setTextAlign(TextAlignment.RIGHT);
      g.fillText("+15%", right, bottom + 9);
    }
  }
}
