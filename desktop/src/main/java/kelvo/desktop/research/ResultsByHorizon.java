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
import kelvo.research.ResultBars;

/**
 * How the results lie at four horizons, all at one scale; a click picks the cases of a bar, or
 * above the bars those that won.
 */
final class ResultsByHorizon extends Painted {
  /** The horizons that are shown. */
  static final List<Held> SHOWN =
      List.of(Held.QUARTER_HOUR, Held.HOUR, Held.CLOSE, Held.NEXT_CLOSE);

  private static final double HEAD = 22;
  private static final double FOOT = 18;
  private static final double EDGE = 12;

  private List<ResultBars> pictures = List.of();
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
          List<ResearchCase> cases = cases(e);
          if (!cases.isEmpty()) {
            onPick.accept(cases, words(e));
          }
        });
  }

  /** Shows the results at each of {@link #SHOWN}. */
  void show(List<ResultBars> others) {
    pictures = List.copyOf(others);
    most = pictures.stream().mapToInt(ResultBars::most).max().orElse(0);
    repaint();
  }

  private double width() {
    return getWidth() / SHOWN.size();
  }

  private double step() {
    return (width() - 2 * EDGE) / ResultBars.COUNT;
  }

  private int picture(MouseEvent event) {
    return (int) Math.clamp(event.getX() / width(), 0, SHOWN.size() - 1);
  }

  /** The bar under the pointer; -1 beside all of them. */
  private int bar(MouseEvent event) {
    if (pictures.isEmpty()) {
      return -1;
    }
    double x = event.getX() - picture(event) * width() - EDGE;
    int bar = (int) Math.floor(x / step());
    return bar >= 0 && bar < ResultBars.COUNT ? bar : -1;
  }

  private static boolean above(MouseEvent event) {
    return event.getY() < HEAD;
  }

  private List<ResearchCase> cases(MouseEvent event) {
    int bar = bar(event);
    if (bar < 0) {
      return List.of();
    }
    ResultBars picture = pictures.get(picture(event));
    return above(event) ? picture.won() : picture.bars().get(bar);
  }

  private String words(MouseEvent event) {
    int bar = bar(event);
    if (bar < 0) {
      return "";
    }
    ResultBars picture = pictures.get(picture(event));
    return above(event) ? picture.wonWords() : picture.words(bar);
  }

  @Override
  protected void paint(GraphicsContext g, Theme look) {
    double bottom = getHeight() - FOOT;
    for (int place = 0; place < pictures.size(); place++) {
      ResultBars picture = pictures.get(place);
      double left = place * width() + EDGE;
      double right = (place + 1) * width() - EDGE;
      g.setFill(look.colour(Tone.INK));
      g.setTextAlign(TextAlignment.LEFT);
      g.fillText(picture.until().words(), left, 10);
      g.setFill(look.colour(Tone.FADED));
      g.setTextAlign(TextAlignment.RIGHT);
      g.fillText(picture.known() == 0 ? "" : Math.round(picture.wonPercent()) + "% won", right, 10);
      for (int bar = 0; bar < ResultBars.COUNT; bar++) {
        int count = picture.bars().get(bar).size();
        double height = most == 0 ? 0 : (bottom - HEAD) * count / most;
        g.setFill(
            look.colour(bar < ResultBars.ENDS ? Tone.BAD : Tone.GOOD).deriveColor(0, 1, 1, 0.75));
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
      g.fillText("-" + ResultBars.ENDS + "%", left, bottom + 9);
      g.setTextAlign(TextAlignment.RIGHT);
      g.fillText("+" + ResultBars.ENDS + "%", right, bottom + 9);
    }
  }
}
