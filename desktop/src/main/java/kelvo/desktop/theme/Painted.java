package kelvo.desktop.theme;

import javafx.beans.value.ObservableValue;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.text.TextAlignment;

/** A part that is painted by hand, as large as it is, in the colours of the theme. */
public abstract class Painted extends Region {
  private final Canvas canvas = new Canvas();
  private final ObservableValue<Theme> theme;

  /**
   * Nothing is painted yet.
   *
   * @param theme the look; painted again when it changes, which no listener hears of before the
   *     part is whole: both belong to the window's thread
   */
  @SuppressWarnings("this-escape")
  protected Painted(ObservableValue<Theme> theme) {
    this.theme = theme;
    getChildren().add(canvas);
    setMinSize(0, 0);
    theme.addListener((o, was, is) -> repaint());
  }

  @Override
  protected final void layoutChildren() {
    canvas.setWidth(getWidth());
    canvas.setHeight(getHeight());
    repaint();
  }

  /** Paints all of it again. */
  protected final void repaint() {
    if (getWidth() > 0 && getHeight() > 0) {
      GraphicsContext g = canvas.getGraphicsContext2D();
      Theme look = theme.getValue();
      g.setFill(look.colour(Tone.CARD));
      g.fillRect(0, 0, getWidth(), getHeight());
      g.setFont(Theme.condensed(11));
      g.setTextBaseline(VPos.CENTER);
      g.setTextAlign(TextAlignment.LEFT);
      g.setLineWidth(1);
      paint(g, look);
    }
  }

  /** Paints on a clean ground, in the small font, texts from their left and about their middle. */
  protected abstract void paint(GraphicsContext g, Theme look);
}
