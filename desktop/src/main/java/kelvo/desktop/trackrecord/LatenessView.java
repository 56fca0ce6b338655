package kelvo.desktop.trackrecord;

import java.util.List;
import java.util.function.Consumer;
import javafx.beans.value.ObservableValue;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Painted;
import kelvo.desktop.theme.PointedWords;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.review.ReviewedTrade;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/** Each trade on a hit as a dot: how late it came, and what it brought. */
final class LatenessView extends Painted {
  private static final double RIGHT = 12;
  private static final double BOTTOM = 20;
  private static final double NEAR = 8;
  private static final double DOT = 6;
  private static final int MARKS = 4;

  private List<ReviewedTrade> trades = List.of();
  private double latest;
  private DollarScale scale = new DollarScale(0, 0);

  LatenessView(ObservableValue<Theme> theme, Consumer<ReviewedTrade> onPick) {
    super(theme);
    setId("lateness");
    setAccessibleText("Lateness against result, a dot a trade");
    PointedWords.of(
        this,
        e -> {
          ReviewedTrade under = at(e);
          return under == null ? "" : TradeWords.of(under);
        });
    setOnMousePressed(
        e -> {
          ReviewedTrade under = at(e);
          if (under != null) {
            onPick.accept(under);
          }
        });
  }

  void show(List<ReviewedTrade> all) {
    trades = all.stream().filter(trade -> trade.move() != null).toList();
    latest = trades.stream().mapToDouble(ReviewedTrade::lateness).max().orElse(0);
    scale = DollarScale.of(trades.stream().mapToDouble(ReviewedTrade::result));
    repaint();
  }

  private @Nullable ReviewedTrade at(MouseEvent event) {
    ReviewedTrade nearest = null;
    double near = NEAR;
    for (ReviewedTrade trade : trades) {
      double distance =
          Math.hypot(x(trade.lateness()) - event.getX(), y(trade.result()) - event.getY());
      if (distance < near) {
        near = distance;
        nearest = trade;
      }
    }
    return nearest;
  }

  private double x(double nanos) {
    return DollarScale.LEFT
        + (getWidth() - DollarScale.LEFT - RIGHT) * Math.max(0, nanos) / Math.max(1, latest);
  }

  private double y(double dollars) {
    return scale.y(dollars, getHeight() - BOTTOM);
  }

  @Override
  protected void paint(GraphicsContext g, Theme look) {
    g.setFill(look.colour(Tone.FADED));
    g.fillText("lateness against result, trades on a hit", 8, 10);
    if (trades.isEmpty()) {
      g.fillText("No trades on a hit in this period.", DollarScale.LEFT, getHeight() / 2);
      return;
    }
    scale.paint(g, look, getWidth() - RIGHT, getHeight() - BOTTOM);
    g.setTextAlign(TextAlignment.CENTER);
    for (int mark = 0; mark <= MARKS; mark++) {
      double nanos = latest * mark / MARKS;
      long minutes = Math.round(nanos / DayTime.MINUTE);
      g.fillText(minutes + " min", Math.max(DollarScale.LEFT, x(nanos) - 8), getHeight() - 9);
    }
    for (ReviewedTrade trade : trades) {
      g.setFill(look.colour(Tone.ofMoney(trade.result())).deriveColor(0, 1, 1, 0.7));
      g.fillOval(x(trade.lateness()) - DOT / 2, y(trade.result()) - DOT / 2, DOT, DOT);
    }
  }
}
