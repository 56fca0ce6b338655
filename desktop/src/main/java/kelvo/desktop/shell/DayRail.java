package kelvo.desktop.shell;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javafx.scene.text.TextAlignment;
import kelvo.data.feed.FeedGap;
import kelvo.desktop.theme.PointedWords;
import kelvo.desktop.theme.TextWidth;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.news.Catalyst;
import kelvo.session.KnownEvent;
import kelvo.time.DayTime;
import kelvo.time.Phase;
import kelvo.trade.Fill;
import kelvo.view.HaltsView;

/**
 * The clock of the program: 04:00 to 20:00 with the phases, hits a minute, halts, news and fills up
 * to now, events known beforehand, and a handle that moves everything when it is dragged. While the
 * day is played through its scans, how far that is.
 */
final class DayRail extends Region {
  private static final double BARS_TOP = 16;
  private static final double BARS_HEIGHT = 26;
  private static final double MARKS_Y = 50;
  private static final double GAP_HEIGHT = 4;

  /** How far from the pointer a mark may lie to be told, pixels. */
  private static final double POINTED = 4;

  private final Workspace workspace;
  private final Canvas canvas = new Canvas();
  private List<Long> begun = List.of();

  DayRail(Workspace workspace) {
    this.workspace = workspace;
    getChildren().add(canvas);
    setFocusTraversable(true);
    setAccessibleRole(AccessibleRole.SLIDER);
    setAccessibleText("Day rail, 04:00 to 20:00");
    setOnMousePressed(e -> seek(e.getX()));
    setOnMouseDragged(e -> seek(e.getX()));
    setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) {
            long step = e.isShiftDown() ? 15 * DayTime.MINUTE : DayTime.MINUTE;
            workspace
                .clock()
                .seek(workspace.clock().now() + (e.getCode() == KeyCode.LEFT ? -step : step));
            e.consume();
          }
        });
    new Followed<HaltsView.HaltList>(workspace.clock(), this::halted)
        .follow(new HaltsView(workspace.session()));
    workspace.clock().shown().addListener((o, was, is) -> repaint());
    workspace.clock().hitCounts().addListener((o, was, is) -> repaint());
    workspace.clock().playedUntil().addListener((o, was, is) -> repaint());
    workspace.book().addListener((o, was, is) -> repaint());
    workspace.window().theme().addListener((o, was, is) -> repaint());
    focusedProperty().addListener((o, was, is) -> repaint());
    PointedWords.of(
        this, e -> RailWords.at(workspace, begun, moment(e.getX()), moment(POINTED) - moment(0)));
  }

  /** The moment at a place, to the second. */
  private long moment(double x) {
    double part = Math.clamp(x / getWidth(), 0, 1);
    return DayTime.FIRST
        + Math.round(part * (DayTime.LAST - DayTime.FIRST) / DayTime.SECOND) * DayTime.SECOND;
  }

  private void seek(double x) {
    requestFocus();
    workspace.clock().seek(moment(x));
  }

  private double x(long moment) {
    return (moment - DayTime.FIRST) / (double) (DayTime.LAST - DayTime.FIRST) * getWidth();
  }

  @Override
  protected void layoutChildren() {
    canvas.setWidth(getWidth());
    canvas.setHeight(getHeight());
    paint();
  }

  private void halted(HaltsView.HaltList shown) {
    begun = shown.begun();
    repaint();
  }

  /** With the next frame, once, whatever comes of a moment. */
  private void repaint() {
    setNeedsLayout(true);
  }

  private void paint() {
    if (getWidth() <= 0) {
      return;
    }
    Theme theme = workspace.window().theme().get();
    GraphicsContext g = canvas.getGraphicsContext2D();
    g.clearRect(0, 0, getWidth(), getHeight());
    phases(g, theme);
    hits(g, theme, workspace.clock().hitCounts().get().byMinute());
    marks(g, theme, workspace.clock().now());
    unplayed(g, theme, workspace.clock().playedUntil().get());
    handle(g, theme, workspace.clock().now());
  }

  /** The part of the day whose hits are not known yet, and how far they are. */
  private void unplayed(GraphicsContext g, Theme theme, long until) {
    if (until < DayTime.LAST) {
      g.setFill(theme.colour(Tone.LINES));
      g.fillRect(x(until), BARS_TOP, getWidth() - x(until), BARS_HEIGHT);
      g.setFill(theme.colour(Tone.ACCENT));
      g.fillRect(0, getHeight() - 2, x(until), 2);
    }
  }

  private void phases(GraphicsContext g, Theme theme) {
    List<Phase> phases = workspace.session().phases().all();
    g.setFont(Theme.condensed(12));
    g.setTextBaseline(VPos.TOP);
    g.setTextAlign(TextAlignment.LEFT);
    for (int i = 0; i < phases.size(); i++) {
      double left = x(phases.get(i).start());
      double width = x(phases.get(i).end()) - left;
      g.setFill(theme.colour(i % 2 == 0 ? Tone.WASH : Tone.GROUND));
      g.fillRect(left, 0, width, getHeight());
      g.setFill(theme.colour(Tone.FADED));
      String name = phases.get(i).name();
      if (TextWidth.of(name, g.getFont()) < width - 6) {
        g.fillText(name, left + 4, 2);
      }
    }
    g.setFill(theme.colour(Tone.FADED));
    for (int hour = 4; hour < 20; hour += 2) {
      double at = x(DayTime.of(hour, 0));
      g.setStroke(theme.colour(Tone.LINES));
      g.strokeLine(at + 0.5, BARS_TOP, at + 0.5, getHeight());
    }
  }

  private void hits(GraphicsContext g, Theme theme, List<Integer> byMinute) {
    int most = byMinute.stream().mapToInt(Integer::intValue).max().orElse(0);
    g.setFill(theme.colour(Tone.ACCENT));
    double width = Math.max(1, x(DayTime.FIRST + DayTime.MINUTE));
    for (int minute = 0; minute < byMinute.size(); minute++) {
      int count = byMinute.get(minute);
      if (count > 0) {
        double height = Math.max(2, Math.sqrt(count / (double) most) * BARS_HEIGHT);
        double left = x(DayTime.FIRST + minute * DayTime.MINUTE);
        g.fillRect(left, BARS_TOP + BARS_HEIGHT - height, width, height);
      }
    }
  }

  private void marks(GraphicsContext g, Theme theme, long now) {
    for (Catalyst item : workspace.session().catalysts()) {
      if (item.at() >= DayTime.FIRST && item.known() <= now) {
        mark(g, theme, Tone.CATALYST, x(item.at()), 2);
      }
    }
    g.setFill(theme.colour(Tone.BAD));
    for (FeedGap gap : workspace.feedGaps()) {
      double left = x(gap.from());
      g.fillRect(left, getHeight() - GAP_HEIGHT, Math.max(3, x(gap.until()) - left), GAP_HEIGHT);
    }
    for (long halt : begun) {
      g.setFill(theme.colour(Tone.HALT));
      g.fillRect(x(halt) - 1.5, BARS_TOP + BARS_HEIGHT, 3, 12);
    }
    for (Fill fill : workspace.book().get().fillsUntil(now)) {
      double at = x(fill.at());
      g.setFill(theme.colour(Tone.INK));
      double tip = fill.side().sign() > 0 ? -4 : 4;
      g.fillPolygon(
          new double[] {at - 3.5, at + 3.5, at},
          new double[] {MARKS_Y + 8 - tip, MARKS_Y + 8 - tip, MARKS_Y + 8 + tip},
          3);
    }
    for (KnownEvent event : workspace.session().knownEvents()) {
      if (event.symbol().isEmpty()) {
        g.setStroke(theme.colour(Tone.FADED));
        g.setLineDashes(2, 2);
        g.strokeLine(x(event.at()), BARS_TOP, x(event.at()), getHeight());
        g.setLineDashes();
      }
    }
  }

  private static void mark(GraphicsContext g, Theme theme, Tone tone, double x, double radius) {
    g.setFill(theme.colour(tone));
    g.fillOval(x - radius, MARKS_Y - 4 - radius, radius * 2, radius * 2);
  }

  private void handle(GraphicsContext g, Theme theme, long now) {
    double at = x(now);
    g.setStroke(theme.colour(Tone.ACCENT));
    g.setLineWidth(isFocused() ? 3 : 2);
    g.strokeLine(at, 0, at, getHeight());
    g.setLineWidth(1);
    g.setFill(theme.colour(Tone.ACCENT));
    g.fillPolygon(new double[] {at - 6, at + 6, at}, new double[] {0, 0, 8}, 3);
  }
}
