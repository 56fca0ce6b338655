package kelvo.desktop.trackrecord;

import java.util.List;
import java.util.function.Consumer;
import java.util.stream.DoubleStream;
import javafx.beans.value.ObservableValue;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Painted;
import kelvo.desktop.theme.PointedWords;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.review.ReviewedTrade;
import kelvo.trackrecord.EquityPoint;

/** The sum of all results, trade by trade, and how far it is below its highest point. */
final class EquityView extends Painted {
  private static final double RIGHT = 10;
  private static final double BOTTOM = 12;

  private List<EquityPoint> line = List.of();
  private DollarScale scale = new DollarScale(0, 0);

  EquityView(ObservableValue<Theme> theme, Consumer<ReviewedTrade> onPick) {
    super(theme);
    setId("equity");
    setAccessibleText("The sum of all results, trade by trade");
    PointedWords.of(this, this::words);
    setOnMousePressed(
        e -> {
          if (!line.isEmpty()) {
            onPick.accept(line.get(nearest(e.getX())).trade());
          }
        });
  }

  void show(List<EquityPoint> points) {
    line = points;
    scale =
        DollarScale.of(
            points.stream().flatMapToDouble(p -> DoubleStream.of(p.sum(), p.sum() + p.fall())));
    repaint();
  }

  private int nearest(double x) {
    double part = (x - DollarScale.LEFT) / Math.max(1, getWidth() - DollarScale.LEFT - RIGHT);
    return Math.clamp(Math.round(part * line.size()) - 1, 0, line.size() - 1);
  }

  private String words(MouseEvent event) {
    if (line.isEmpty()) {
      return "";
    }
    EquityPoint point = line.get(nearest(event.getX()));
    return TradeWords.of(point.trade())
        + "\nSum "
        + Numbers.money(point.sum())
        + ", "
        + Numbers.money(-point.fall())
        + " from the highest";
  }

  private double x(int place) {
    return DollarScale.LEFT
        + (getWidth() - DollarScale.LEFT - RIGHT) * (place + 1) / Math.max(1, line.size());
  }

  private double y(double dollars) {
    return scale.y(dollars, getHeight() - BOTTOM);
  }

  @Override
  protected void paint(GraphicsContext g, Theme look) {
    g.setFill(look.colour(Tone.FADED));
    g.fillText("equity line, trade by trade; the shaded part is the drawdown", 8, 10);
    if (line.isEmpty()) {
      g.fillText("No closed trades in this period.", DollarScale.LEFT, getHeight() / 2);
      return;
    }
    scale.paint(g, look, getWidth() - RIGHT, getHeight() - BOTTOM);
    g.setFill(look.colour(Tone.BAD).deriveColor(0, 1, 1, 0.16));
    double before = DollarScale.LEFT;
    for (int i = 0; i < line.size(); i++) {
      EquityPoint point = line.get(i);
      double top = y(point.sum() + point.fall());
      g.fillRect(before, top, x(i) - before, y(point.sum()) - top);
      before = x(i);
    }
    g.setStroke(look.colour(Tone.INK));
    g.setLineWidth(1.5);
    g.beginPath();
    g.moveTo(DollarScale.LEFT, y(0));
    double sum = 0;
    for (int i = 0; i < line.size(); i++) {
      g.lineTo(i == 0 ? DollarScale.LEFT : x(i - 1), y(sum));
      sum = line.get(i).sum();
      g.lineTo(x(i), y(sum));
    }
    g.stroke();
  }
}
