package kelvo.desktop.morning;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import javafx.geometry.Rectangle2D;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.text.TextAlignment;
import kelvo.chart.Spark;
import kelvo.desktop.chart.PointedAt;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.TextWidth;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.MarketPart;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.Workspace;
import kelvo.history.DailyBar;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.view.CardsView;
import kelvo.view.WallView;

/**
 * A wall of small charts of the movers, grouped by theme, risers and fallers. A click puts a symbol
 * in focus, a drag moves its chart to another place, and the button shows days instead of today.
 * Only charts that changed are painted again.
 */
public final class ChartWall extends Region {
  /** The wall in a window of its own. */
  public static final PartKind KIND =
      new PartKind(
          "WALL",
          "Wall of small charts",
          false,
          (workspace, choice) -> {
            ChartWall wall = new ChartWall(workspace);
            return new MarketPart(wall, wall::follow);
          });

  private static final double HEAD = 24;
  private static final int DAYS = 120;
  private static final int NOBODY = -1;
  private static final double MARGIN = 3;
  private static final double SYMBOL_HEIGHT = 17;

  /** The small charts' time ends at such a moment, so that it does not move with every minute. */
  private static final long END_STEP = 30 * DayTime.MINUTE;

  private final Workspace workspace;
  private final Canvas canvas = new Canvas();

  /** The crosshair, apart, so that moving it paints no chart again. */
  private final Canvas pointer = new Canvas();

  private final Followed<WallView.Wall> followed;
  private final ToggleButton days = new ToggleButton("Days");
  private final List<String> ownOrder = new ArrayList<>();
  private List<WallView.Tile> tiles = List.of();
  private List<Painted> painted = List.of();
  private WallLayout layout = WallLayout.of(List.of(), 1);
  private double scroll;
  private long end = DayTime.FIRST + END_STEP;
  private int dragged = NOBODY;
  private int paintedLast;

  /** What a place of the wall shows. */
  private record Painted(String symbol, long price, double change, Line line, boolean focused) {
    boolean same(Painted other) {
      return symbol.equals(other.symbol)
          && price == other.price
          && focused == other.focused
          && Double.compare(change, other.change) == 0
          && line.same(other.line);
    }
  }

  /** Values, and where in the chart's time each stands, 0 to 1. */
  private record Line(double[] parts, double[] values) {
    boolean same(Line other) {
      return Arrays.equals(values, other.values) && Arrays.equals(parts, other.parts);
    }
  }

  ChartWall(Workspace workspace) {
    this.workspace = workspace;
    followed = new Followed<>(workspace.clock(), this::show);
    getStyleClass().add("card");
    days.getStyleClass().setAll("toggle-button", "small-button");
    days.setTooltip(new Tooltip("Draws the last " + DAYS + " days instead of today's minutes"));
    days.setFocusTraversable(false);
    days.selectedProperty().addListener((o, was, is) -> repaint());
    getChildren().addAll(canvas, pointer, days);
    setMinSize(0, 0);
    setAccessibleText("Wall of small charts");
    pointer.setOnMousePressed(e -> dragged = placeAt(e));
    pointer.setOnMouseReleased(this::release);
    pointer.setOnMouseMoved(this::point);
    pointer.setOnScroll(e -> scrollBy(-e.getDeltaY()));
    pointer.setOnMouseExited(e -> workspace.window().pointed().set(null));
    workspace.window().pointed().addListener((o, was, is) -> crosshair());
    workspace.window().theme().addListener((o, was, is) -> repaint());
    workspace.focus().symbol().addListener((o, was, is) -> paint());
  }

  /** Follows the movers while it is seen. */
  void follow(boolean seen) {
    if (seen && !followed.isFollowing()) {
      followed.follow(new WallView(workspace.session()));
    } else if (!seen) {
      followed.stop();
    }
  }

  /** Shows a wall, in the trader's own order where there is one. */
  private void show(WallView.Wall wall) {
    end = (wall.moment() / END_STEP + 1) * END_STEP;
    order(wall.tiles());
  }

  private void order(List<WallView.Tile> shown) {
    List<WallView.Tile> ordered = new ArrayList<>();
    for (String symbol : ownOrder) {
      shown.stream().filter(t -> t.card().symbol().equals(symbol)).forEach(ordered::add);
    }
    shown.stream().filter(t -> !ownOrder.contains(t.card().symbol())).forEach(ordered::add);
    tiles = ordered;
    paint();
  }

  /** How many charts are on the wall. */
  int charts() {
    return tiles.size();
  }

  /** How many of them the last painting drew. */
  int paintedLast() {
    return paintedLast;
  }

  private int placeAt(MouseEvent e) {
    return e.getY() < HEAD ? NOBODY : layout.at(e.getX(), e.getY() - HEAD + scroll);
  }

  /** Where a chart stands in this region now. */
  private Rectangle2D box(int place) {
    Rectangle2D box = layout.boxes().get(place);
    return new Rectangle2D(
        box.getMinX(), box.getMinY() + HEAD - scroll, box.getWidth(), box.getHeight());
  }

  private void scrollBy(double pixels) {
    double most = Math.max(0, layout.height() - (getHeight() - HEAD));
    double before = scroll;
    scroll = Math.clamp(scroll + pixels, 0, most);
    if (scroll != before) {
      repaint();
      crosshair();
    }
  }

  private void release(MouseEvent e) {
    int from = dragged;
    int to = placeAt(e);
    dragged = NOBODY;
    if (from == NOBODY || to == NOBODY) {
      return;
    }
    if (from == to) {
      workspace.focus().on(tiles.get(from).card().symbol());
      return;
    }
    List<String> order = new ArrayList<>(tiles.stream().map(t -> t.card().symbol()).toList());
    order.add(to, order.remove(from));
    ownOrder.clear();
    ownOrder.addAll(order);
    order(tiles);
  }

  @Override
  protected void layoutChildren() {
    days.autosize();
    days.relocate(getWidth() - days.getWidth() - 6, 2);
    if (canvas.getWidth() != getWidth() || canvas.getHeight() != getHeight()) {
      canvas.setWidth(getWidth());
      canvas.setHeight(getHeight());
      pointer.setWidth(getWidth());
      pointer.setHeight(getHeight());
      repaint();
    }
  }

  private void repaint() {
    painted = List.of();
    paint();
  }

  private void paint() {
    GraphicsContext g = canvas.getGraphicsContext2D();
    List<Painted> wanted = tiles.stream().map(this::wanted).toList();
    WallLayout fresh =
        WallLayout.of(tiles.stream().map(WallView.Tile::group).toList(), getWidth() - 2 * MARGIN);
    if (painted.size() != wanted.size() || !fresh.equals(layout)) {
      layout = fresh;
      scrollBy(0);
      g.setFill(workspace.window().theme().get().colour(Tone.CARD));
      g.fillRect(0, 0, getWidth(), getHeight());
      painted = List.of();
      headings(g);
    }
    paintedLast = 0;
    for (int i = 0; i < wanted.size(); i++) {
      if (painted.isEmpty() || !wanted.get(i).same(painted.get(i))) {
        if (box(i).getMaxY() > HEAD && box(i).getMinY() < getHeight()) {
          tile(g, wanted.get(i), box(i));
          paintedLast++;
        }
      }
    }
    painted = wanted;
    head(g);
  }

  private void headings(GraphicsContext g) {
    Theme theme = workspace.window().theme().get();
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.CENTER);
    for (WallLayout.Heading heading : layout.headings()) {
      double y = heading.middle() + HEAD - scroll;
      g.setFont(Theme.strongCondensed(12));
      g.setFill(theme.colour(Tone.INK));
      g.fillText(heading.group(), 8, y);
      double right = 16 + TextWidth.of(heading.group(), Theme.strongCondensed(12));
      g.setFont(Theme.condensed(12));
      g.setFill(theme.colour(Tone.FADED));
      g.fillText(Integer.toString(heading.charts()), right, y);
    }
  }

  private void head(GraphicsContext g) {
    Theme theme = workspace.window().theme().get();
    g.setFill(theme.colour(Tone.CARD));
    g.fillRect(0, 0, getWidth() - days.getWidth() - 8, HEAD - 1);
    g.setFill(theme.colour(Tone.FADED));
    g.setFont(Theme.condensed(12));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.CENTER);
    g.fillText(
        tiles.isEmpty()
            ? "Nobody moves on more than a handful of prints."
            : tiles.size() + " movers: the wheel shows more, a drag puts one elsewhere",
        8,
        HEAD / 2);
  }

  private Painted wanted(WallView.Tile tile) {
    CardsView.Card card = tile.card();
    return new Painted(
        card.symbol(),
        card.price(),
        card.changePercent(),
        days.isSelected() ? days(card.symbol()) : minutes(card.spark()),
        card.symbol().equals(workspace.focus().symbol().get()));
  }

  private Line minutes(Spark spark) {
    return new Line(
        Arrays.stream(spark.starts()).mapToDouble(this::part).toArray(), spark.closes());
  }

  private Line days(String symbol) {
    List<DailyBar> bars = bars(symbol);
    double[] parts = new double[bars.size()];
    double[] closes = new double[bars.size()];
    for (int i = 0; i < parts.length; i++) {
      parts[i] = dayPart(i, parts.length);
      closes[i] = Price.dollars(bars.get(i).close());
    }
    return new Line(parts, closes);
  }

  private List<DailyBar> bars(String symbol) {
    return workspace
        .session()
        .security(workspace.session().numberOf(symbol).orElse(0))
        .history()
        .lastOnes(DAYS);
  }

  private static double dayPart(int place, int count) {
    return place / (double) Math.max(1, count - 1);
  }

  /** Where a time of the day stands in a small chart, 0 to 1. */
  private double part(long moment) {
    return (moment - DayTime.FIRST) / (double) (end - DayTime.FIRST);
  }

  private void point(MouseEvent e) {
    int place = placeAt(e);
    double part =
        place == NOBODY
            ? NOBODY
            : (e.getX() - box(place).getMinX() - MARGIN) / (box(place).getWidth() - 2 * MARGIN);
    if (part < 0 || part > 1) {
      workspace.window().pointed().set(null);
      return;
    }
    String symbol = tiles.get(place).card().symbol();
    List<DailyBar> bars = bars(symbol);
    if (!days.isSelected()) {
      long moment = DayTime.FIRST + (long) (part * (end - DayTime.FIRST));
      workspace.window().pointed().set(new PointedAt(symbol, Double.NaN, workspace.day(), moment));
    } else if (!bars.isEmpty()) {
      LocalDate day = bars.get((int) Math.round(part * (bars.size() - 1))).date();
      workspace.window().pointed().set(new PointedAt(symbol, Double.NaN, day, PointedAt.WHOLE_DAY));
    }
  }

  /** Draws where the pointer stands in time on any chart, over each of the small ones. */
  private void crosshair() {
    GraphicsContext g = pointer.getGraphicsContext2D();
    g.clearRect(0, 0, getWidth(), getHeight());
    PointedAt pointed = workspace.window().pointed().get();
    if (pointed == null) {
      return;
    }
    g.setStroke(workspace.window().theme().get().colour(Tone.FADED));
    for (int i = 0; i < tiles.size(); i++) {
      double part = part(tiles.get(i), pointed);
      if (part >= 0 && part <= 1) {
        Rectangle2D box = box(i);
        double x = box.getMinX() + MARGIN + part * (box.getWidth() - 2 * MARGIN);
        g.strokeLine(x, Math.max(HEAD, box.getMinY() + SYMBOL_HEIGHT), x, box.getMaxY());
      }
    }
  }

  private double part(WallView.Tile tile, PointedAt pointed) {
    if (!days.isSelected()) {
      boolean today = pointed.date().equals(workspace.day());
      return today && pointed.moment() != PointedAt.WHOLE_DAY ? part(pointed.moment()) : -1;
    }
    List<DailyBar> bars = bars(tile.card().symbol());
    for (int i = 0; i < bars.size(); i++) {
      if (bars.get(i).date().equals(pointed.date())) {
        return dayPart(i, bars.size());
      }
    }
    return -1;
  }

  private void tile(GraphicsContext g, Painted tile, Rectangle2D box) {
    Theme theme = workspace.window().theme().get();
    double x = box.getMinX();
    double y = box.getMinY();
    g.save();
    g.beginPath();
    g.rect(0, HEAD, getWidth(), getHeight() - HEAD);
    g.clip();
    g.setFill(theme.colour(tile.focused() ? Tone.SELECTION : Tone.WASH));
    g.fillRect(x, y, box.getWidth(), box.getHeight());
    g.setTextBaseline(VPos.CENTER);
    g.setTextAlign(TextAlignment.LEFT);
    g.setFont(Theme.strongFont(12));
    g.setFill(theme.colour(Tone.INK));
    g.fillText(tile.symbol(), x + 5, y + SYMBOL_HEIGHT / 2);
    g.setTextAlign(TextAlignment.RIGHT);
    g.setFont(Theme.condensed(12));
    String change = Numbers.percent(tile.change());
    g.setFill(theme.colour(Tone.ofChange(tile.change())));
    g.fillText(change, box.getMaxX() - 5, y + SYMBOL_HEIGHT / 2);
    g.setFill(theme.colour(Tone.FADED));
    g.fillText(
        Price.text(tile.price()),
        box.getMaxX() - 11 - TextWidth.of(change, Theme.condensed(12)),
        y + SYMBOL_HEIGHT / 2);
    line(
        g,
        tile,
        theme,
        x + MARGIN,
        y + SYMBOL_HEIGHT + 2,
        box.getWidth() - 2 * MARGIN,
        box.getHeight() - SYMBOL_HEIGHT - 6);
    g.restore();
  }

  private static void line(
      GraphicsContext g,
      Painted tile,
      Theme theme,
      double x,
      double y,
      double width,
      double height) {
    double[] values = tile.line().values();
    double[] parts = tile.line().parts();
    if (values.length < 2) {
      return;
    }
    double low = Arrays.stream(values).min().orElse(0);
    double high = Arrays.stream(values).max().orElse(1);
    int step = Math.max(1, (int) (values.length / width));
    g.setStroke(theme.colour(Tone.ofChange(tile.change())));
    g.beginPath();
    for (int i = 0; i < values.length; i += step) {
      double part = high > low ? (values[i] - low) / (high - low) : 0.5;
      g.lineTo(x + parts[i] * width, y + height - part * height);
    }
    g.stroke();
  }
}
