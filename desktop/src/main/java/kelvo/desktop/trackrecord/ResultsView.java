package kelvo.desktop.trackrecord;

import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.DoubleStream;
import javafx.beans.value.ObservableValue;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Painted;
import kelvo.desktop.theme.PointedWords;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.review.ReviewedTrade;
import kelvo.trackrecord.ResultRange;

/** The mean result of a trade in each group, with how far chance alone may move it. */
final class ResultsView extends Painted {
  private static final int SMALL_SAMPLE = 20;
  private static final double NAME = 128;
  private static final double COUNT = 28;
  private static final double RIGHT = 74;
  private static final double TOP = 4;
  private static final double ROW = 18;
  private static final double DOT = 6;

  private List<ResultRange> groups = List.of();
  private double lowest;
  private double highest;
  private double scroll;

  ResultsView(ObservableValue<Theme> theme, Consumer<ReviewedTrade> onPick) {
    super(theme);
    setId("results");
    setAccessibleText("The mean result of a trade, group by group, with its interval");
    PointedWords.of(this, this::words);
    setOnScroll(
        e -> {
          double most = Math.max(0, TOP + groups.size() * ROW - getHeight());
          scroll = Math.clamp(scroll - e.getDeltaY(), 0, most);
          repaint();
        });
    setOnMousePressed(
        e -> {
          int place = place(e);
          if (place >= 0) {
            onPick.accept(loudest(groups.get(place)));
          }
        });
  }

  private static ReviewedTrade loudest(ResultRange group) {
    return group.trades().stream()
        .max(Comparator.comparingDouble(trade -> Math.abs(trade.result())))
        .orElseThrow();
  }

  void show(List<ResultRange> ranges) {
    groups = ranges.stream().filter(range -> !range.trades().isEmpty()).toList();
    lowest = Math.min(0, values().min().orElse(0));
    highest = Math.max(0, values().max().orElse(0));
    scroll = 0;
    repaint();
  }

  private DoubleStream values() {
    return groups.stream()
        .flatMapToDouble(
            group ->
                DoubleStream.of(group.result().mean(), group.result().low(), group.result().high()))
        .filter(Double::isFinite);
  }

  private int place(MouseEvent event) {
    int place = (int) Math.floor((event.getY() - TOP + scroll) / ROW);
    return place >= 0 && place < groups.size() ? place : -1;
  }

  private String words(MouseEvent event) {
    int place = place(event);
    if (place < 0) {
      return "";
    }
    ResultRange group = groups.get(place);
    String chance =
        Double.isNaN(group.result().low())
            ? "of one session alone chance cannot be told"
            : "95% between "
                + Numbers.money(group.result().low())
                + " and "
                + Numbers.money(group.result().high());
    return group.group().name()
        + ": "
        + group.trades().size()
        + " trades, a trade "
        + Numbers.money(group.result().mean())
        + ", "
        + chance
        + "; in all "
        + Numbers.money(group.group().totals().net())
        + "\nA click picks the trade that won or lost most.";
  }

  private double x(double dollars) {
    double left = NAME + COUNT + 8;
    double span = Math.max(1e-9, highest - lowest);
    return left + (getWidth() - left - RIGHT) * (dollars - lowest) / span;
  }

  @Override
  protected void paint(GraphicsContext g, Theme look) {
    if (groups.isEmpty()) {
      g.setFill(look.colour(Tone.FADED));
      g.fillText("No closed trades in this period.", 8, 14);
      return;
    }
    g.setStroke(look.colour(Tone.LINES));
    g.strokeLine(x(0), 0, x(0), getHeight());
    for (int i = 0; i < groups.size(); i++) {
      group(g, look, groups.get(i), TOP + (i + 0.5) * ROW - scroll);
    }
  }

  private void group(GraphicsContext g, Theme look, ResultRange group, double y) {
    boolean few = group.trades().size() < SMALL_SAMPLE;
    g.setTextAlign(TextAlignment.LEFT);
    g.setFill(look.colour(few ? Tone.FADED : Tone.INK));
    g.fillText(group.group().name(), 8, y, NAME - 10);
    g.setTextAlign(TextAlignment.RIGHT);
    g.fillText(Integer.toString(group.trades().size()), NAME + COUNT, y);
    Tone tone = Tone.ofMoney(group.result().mean());
    double strength = few ? 0.45 : 1;
    if (Double.isFinite(group.result().low())) {
      g.setStroke(look.colour(tone).deriveColor(0, 1, 1, strength));
      g.setLineWidth(2);
      g.strokeLine(x(group.result().low()), y, x(group.result().high()), y);
      g.setLineWidth(1);
    }
    g.setFill(look.colour(tone).deriveColor(0, 1, 1, strength));
    g.fillOval(x(group.result().mean()) - DOT / 2, y - DOT / 2, DOT, DOT);
    g.fillText(Numbers.money(group.result().mean()), getWidth() - 8, y);
  }
}
