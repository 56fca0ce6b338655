package kelvo.desktop.morning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.PointedWords;
import kelvo.desktop.theme.TextWidth;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Unit;
import kelvo.news.Themes;
import kelvo.view.GapsView;
import org.jspecify.annotations.Nullable;

/**
 * Every gapping stock as a dot: gap across, fallers left and risers right; dollars traded upward on
 * a log scale; size by float turnover; hollow when thin. Themes are joined by a faint hull with
 * their sector's name.
 */
final class GapField extends Region {
  private static final double NAMED_FROM = 8;
  private static final int MOST_NAMES = 6;
  private static final double WIDEST = 40;
  private static final double MIN_DOLLARS = 1_000;
  private static final double MAX_DOLLARS = 100_000_000;
  private static final double FOOT = 16;

  private final Workspace workspace;
  private final Canvas canvas = new Canvas();
  private List<GapsView.Gap> gaps = List.of();
  private final Followed<GapsView.Gaps> followed;
  private List<Themes.Theme> joined = List.of();

  GapField(Workspace workspace) {
    this.workspace = workspace;
    followed = new Followed<>(workspace.clock(), this::show);
    getChildren().add(canvas);
    setMinSize(0, 120);
    setPrefHeight(196);
    setAccessibleText("Gap field: gap per cent across, dollars traded upward");
    PointedWords.of(this, this::describe);
    setOnMousePressed(
        e -> {
          GapsView.Gap nearest = nearest(e);
          if (nearest != null) {
            workspace.focus().on(nearest.symbol());
          }
        });
    workspace.focus().symbol().addListener((o, was, is) -> paint());
    workspace.window().theme().addListener((o, was, is) -> paint());
  }

  /** Follows the gaps while it is seen. */
  void follow(boolean seen) {
    if (seen && !followed.isFollowing()) {
      followed.follow(new GapsView(workspace.session()));
    } else if (!seen) {
      followed.stop();
    }
  }

  private void show(GapsView.Gaps shown) {
    gaps = shown.all();
    joined = shown.themes();
    paint();
  }

  @Override
  protected void layoutChildren() {
    canvas.setWidth(getWidth());
    canvas.setHeight(getHeight());
    paint();
  }

  private double x(GapsView.Gap gap) {
    double half = getWidth() / 2;
    double part = Math.sqrt(Math.min(Math.abs(gap.percent()), WIDEST) / WIDEST);
    return half + Math.signum(gap.percent()) * part * (half - 14);
  }

  private double y(double dollars) {
    double part =
        Math.log(Math.clamp(dollars, MIN_DOLLARS, MAX_DOLLARS) / MIN_DOLLARS)
            / Math.log(MAX_DOLLARS / MIN_DOLLARS);
    return getHeight() - FOOT - 6 - part * (getHeight() - FOOT - 18);
  }

  private static double radius(GapsView.Gap gap) {
    double turnover = Double.isNaN(gap.turnover()) ? 0 : Math.min(1, gap.turnover());
    return 3 + 9 * Math.sqrt(turnover);
  }

  private void paint() {
    if (getWidth() <= 0) {
      return;
    }
    Theme theme = workspace.window().theme().get();
    GraphicsContext g = canvas.getGraphicsContext2D();
    g.setFill(theme.colour(Tone.CARD));
    g.fillRect(0, 0, getWidth(), getHeight());
    scales(g, theme);
    LabelPlaces labels = new LabelPlaces();
    for (GapsView.Gap gap : gaps) {
      if (!gap.thin()) {
        labels.avoid(x(gap), y(gap.dollarVolume()), radius(gap));
      }
    }
    themes(g, theme, labels);
    for (GapsView.Gap gap : gaps) {
      dot(g, theme, gap);
    }
    names(g, theme, labels);
  }

  private void scales(GraphicsContext g, Theme theme) {
    g.setFill(theme.colour(Tone.WASH));
    double edge = Math.sqrt(2 / WIDEST) * (getWidth() / 2 - 14);
    g.fillRect(getWidth() / 2 - edge, 0, 2 * edge, getHeight() - FOOT);
    g.setFont(Theme.condensed(11));
    g.setTextBaseline(VPos.CENTER);
    g.setTextAlign(TextAlignment.CENTER);
    g.setFill(theme.colour(Tone.FADED));
    g.fillText("under 2%", getWidth() / 2, 9);
    for (int percent : new int[] {-40, -20, -10, -5, 5, 10, 20, 40}) {
      double part = Math.signum(percent) * Math.sqrt(Math.abs(percent) / WIDEST);
      double at = getWidth() / 2 + part * (getWidth() / 2 - 14);
      g.setStroke(theme.colour(Tone.HAIR));
      g.strokeLine(at, 0, at, getHeight() - FOOT);
      g.setFill(theme.colour(Tone.FADED));
      g.fillText((percent > 0 ? "+" : "") + percent + "%", at, getHeight() - FOOT / 2);
    }
    g.setTextAlign(TextAlignment.LEFT);
    for (double dollars : new double[] {1e4, 1e5, 1e6, 1e7}) {
      g.setStroke(theme.colour(Tone.HAIR));
      g.strokeLine(0, y(dollars), getWidth(), y(dollars));
      g.setFill(theme.colour(Tone.FADED));
      g.fillText(dollarsAt(dollars), 4, y(dollars) - 6);
    }
  }

  /** $10K, $1M: a step of the scale has no decimals. */
  private static String dollarsAt(double step) {
    return step >= 1e6 ? "$" + (long) (step / 1e6) + "M" : "$" + (long) (step / 1e3) + "K";
  }

  private void themes(GraphicsContext g, Theme theme, LabelPlaces labels) {
    Map<String, GapsView.Gap> bySymbol = new HashMap<>();
    gaps.forEach(gap -> bySymbol.put(gap.symbol(), gap));
    for (Themes.Theme found : joined) {
      List<GapsView.Gap> members = new ArrayList<>();
      found.members().forEach(m -> members.add(bySymbol.get(m.symbol())));
      hull(g, theme, found, members, labels);
    }
  }

  private void hull(
      GraphicsContext g,
      Theme theme,
      Themes.Theme found,
      List<GapsView.Gap> members,
      LabelPlaces labels) {
    List<double[]> points =
        members.stream().map(m -> new double[] {x(m), y(m.dollarVolume())}).toList();
    List<double[]> hull = ConvexHull.of(points);
    double[] xs = hull.stream().mapToDouble(p -> p[0]).toArray();
    double[] ys = hull.stream().mapToDouble(p -> p[1]).toArray();
    Color colour = theme.colour(Tone.ACCENT);
    g.setFill(colour.deriveColor(0, 1, 1, 0.10));
    g.setStroke(colour.deriveColor(0, 1, 1, 0.16));
    g.setLineWidth(18);
    g.setLineJoin(javafx.scene.shape.StrokeLineJoin.ROUND);
    g.strokePolygon(xs, ys, xs.length);
    g.fillPolygon(xs, ys, xs.length);
    g.setLineWidth(1);
    double top = java.util.Arrays.stream(ys).min().orElse(0);
    double middle = java.util.Arrays.stream(xs).average().orElse(0);
    g.setFill(colour);
    Font font = Theme.strongCondensed(12);
    g.setFont(font);
    g.setTextAlign(TextAlignment.CENTER);
    String name =
        found.sector()
            + ", "
            + found.members().size()
            + (found.up() ? " up, " : " down, ")
            + found.members().getFirst().symbol()
            + " leads";
    double width = TextWidth.of(name, font);
    double x = Math.clamp(middle, width / 2 + 4, getWidth() - width / 2 - 4);
    labels
        .takeNear(x - width / 2, width, Math.max(8, top - 16), 8, getHeight() - FOOT)
        .ifPresent(y -> g.fillText(name, x, y));
  }

  private void dot(GraphicsContext g, Theme theme, GapsView.Gap gap) {
    double radius = radius(gap);
    double x = x(gap);
    double y = y(gap.dollarVolume());
    Color colour = theme.colour(Tone.ofChange(gap.percent()));
    g.setStroke(colour);
    if (gap.thin()) {
      g.setStroke(theme.colour(Tone.FADED).deriveColor(0, 1, 1, 0.45));
      g.strokeOval(x - 1.5, y - 1.5, 3, 3);
    } else {
      g.setFill(colour.deriveColor(0, 1, 1, 0.62));
      g.fillOval(x - radius, y - radius, radius * 2, radius * 2);
    }
    if (inFocus(gap)) {
      g.setStroke(theme.colour(Tone.INK));
      g.setLineWidth(2);
      g.strokeOval(x - radius - 3, y - radius - 3, radius * 2 + 6, radius * 2 + 6);
      g.setLineWidth(1);
    }
  }

  /** Names the dot in focus and the most telling others, by lines into free space. */
  private void names(GraphicsContext g, Theme theme, LabelPlaces labels) {
    Font font = Theme.condensed(12);
    g.setFont(font);
    g.setTextBaseline(VPos.CENTER);
    g.setTextAlign(TextAlignment.LEFT);
    Stream.concat(named(1), named(-1))
        .forEach(
            gap -> {
              String name = name(gap);
              double x = x(gap);
              double y = y(gap.dollarVolume());
              labels
                  .beside(x, y, radius(gap) + 3, TextWidth.of(name, font), getWidth())
                  .ifPresent(
                      place -> {
                        g.setStroke(theme.colour(Tone.FADED));
                        g.strokeLine(place.lineX(), place.lineY(), place.endX(), place.middle());
                        g.setFill(theme.colour(Tone.INK));
                        g.fillText(name, place.left(), place.middle());
                      });
            });
  }

  /** Of one side, the one in focus and those with most dollars. */
  private Stream<GapsView.Gap> named(int side) {
    return gaps.stream()
        .filter(gap -> Math.signum(gap.percent()) == side)
        .filter(gap -> inFocus(gap) || (!gap.thin() && Math.abs(gap.percent()) >= NAMED_FROM))
        .sorted(
            Comparator.comparing(this::inFocus)
                .thenComparingDouble(GapsView.Gap::dollarVolume)
                .reversed())
        .limit(MOST_NAMES);
  }

  /** What lies beyond the scale says how far. */
  private static String name(GapsView.Gap gap) {
    return Math.abs(gap.percent()) > WIDEST
        ? gap.symbol() + " " + Numbers.percent(gap.percent())
        : gap.symbol();
  }

  private boolean inFocus(GapsView.Gap gap) {
    return gap.symbol().equals(workspace.focus().symbol().get());
  }

  private GapsView.@Nullable Gap nearest(MouseEvent event) {
    GapsView.Gap nearest = null;
    double least = 14;
    for (GapsView.Gap gap : gaps) {
      double distance = Math.hypot(x(gap) - event.getX(), y(gap.dollarVolume()) - event.getY());
      if (distance < least) {
        least = distance;
        nearest = gap;
      }
    }
    return nearest;
  }

  private String describe(MouseEvent event) {
    GapsView.Gap gap = nearest(event);
    return gap == null
        ? ""
        : gap.symbol()
            + "  "
            + Numbers.percent(gap.percent())
            + " from yesterday's close, $"
            + Unit.MONEY.text(gap.dollarVolume())
            + " traded"
            + (Double.isNaN(gap.turnover())
                ? ", float unknown"
                : ", float turned over " + Unit.TIMES.text(gap.turnover()) + " times")
            + (gap.thin() ? "; hollow: few prints" : "");
  }
}
