package kelvo.desktop.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.PointedWords;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Workspace;
import kelvo.hit.Hit;
import kelvo.news.Catalyst;
import kelvo.review.DayReview;
import kelvo.review.MoveVerdict;
import kelvo.review.Outcome;
import kelvo.review.ReviewedMove;
import kelvo.review.ReviewedTrade;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * A row for each symbol that matters: time across, hits as ticks, moves as bands, trades as bars
 * from entry to exit, catalysts as dots, the verdict in words at the end.
 */
final class LanesView extends Region {
  private static final double ROW = 24;
  private static final double NAME = 66;
  private static final double VERDICT = 128;
  private static final double HEAD = 16;

  private record Lane(String symbol, List<ReviewedMove> moves, List<ReviewedTrade> trades) {
    int weight() {
      int ran = (int) moves.stream().filter(m -> m.outcome().ran() == Outcome.Ran.YES).count();
      int hits = moves.stream().mapToInt(m -> m.move().hits().size()).sum();
      return trades.size() * 1_000_000 + ran * 10_000 + Math.min(9_999, hits);
    }
  }

  private final Workspace workspace;
  private final Canvas canvas = new Canvas();
  private List<Lane> lanes = List.of();
  private double scroll;

  LanesView(Workspace workspace) {
    this.workspace = workspace;
    getChildren().add(canvas);
    setMinSize(0, 0);
    setAccessibleText("Lanes: hits, moves and trades by symbol");
    setOnScroll(
        e -> {
          scroll =
              Math.clamp(
                  scroll - e.getDeltaY(), 0, Math.max(0, lanes.size() * ROW - getHeight() + HEAD));
          paint();
        });
    setOnMousePressed(
        e -> {
          int index = (int) ((e.getY() - HEAD + scroll) / ROW);
          if (index >= 0 && index < lanes.size()) {
            workspace.focusOn(lanes.get(index).symbol());
          }
        });
    PointedWords.of(this, this::describe);
    workspace.focus().addListener((o, was, is) -> paint());
    workspace.theme().addListener((o, was, is) -> paint());
  }

  void show(@Nullable DayReview review) {
    Map<String, Lane> bySymbol = new LinkedHashMap<>();
    if (review != null) {
      review.trades().forEach(t -> lane(bySymbol, t.trade().symbol()).trades().add(t));
      review.moves().forEach(m -> lane(bySymbol, m.move().symbol()).moves().add(m));
    }
    lanes =
        bySymbol.values().stream()
            .sorted(Comparator.comparingInt(Lane::weight).reversed())
            .toList();
    paint();
  }

  private static Lane lane(Map<String, Lane> bySymbol, String symbol) {
    return bySymbol.computeIfAbsent(symbol, s -> new Lane(s, new ArrayList<>(), new ArrayList<>()));
  }

  @Override
  protected void layoutChildren() {
    canvas.setWidth(getWidth());
    canvas.setHeight(getHeight());
    paint();
  }

  private double x(long moment) {
    double width = getWidth() - NAME - VERDICT;
    long last = workspace.session().hours().close() + DayTime.HOUR / 2;
    return NAME
        + width * Math.clamp((moment - DayTime.FIRST) / (double) (last - DayTime.FIRST), 0, 1);
  }

  private void paint() {
    if (getWidth() < NAME + VERDICT) {
      return;
    }
    Theme theme = workspace.theme().get();
    GraphicsContext g = canvas.getGraphicsContext2D();
    g.setFill(theme.colour(Tone.CARD));
    g.fillRect(0, 0, getWidth(), getHeight());
    for (int i = (int) (scroll / ROW);
        i < lanes.size() && HEAD + i * ROW - scroll < getHeight();
        i++) {
      lane(g, theme, lanes.get(i), HEAD + i * ROW - scroll);
    }
    hours(g, theme);
    if (lanes.isEmpty()) {
      g.setFill(theme.colour(Tone.FADED));
      g.fillText("No hits and no trades up to this moment. Drag the day rail further.", 12, 40);
    }
  }

  private void hours(GraphicsContext g, Theme theme) {
    g.setFill(theme.colour(Tone.GROUND));
    g.fillRect(0, 0, getWidth(), HEAD);
    g.setFont(Theme.condensed(11));
    g.setTextAlign(TextAlignment.CENTER);
    g.setTextBaseline(VPos.CENTER);
    for (int hour = 4; hour <= 16; hour += 2) {
      double x = x(DayTime.of(hour, 0));
      g.setStroke(theme.colour(Tone.LINES));
      g.strokeLine(x, HEAD, x, getHeight());
      g.setFill(theme.colour(Tone.FADED));
      g.fillText(DayTime.minutes(DayTime.of(hour, 0)), x, HEAD / 2);
    }
  }

  private void lane(GraphicsContext g, Theme theme, Lane lane, double y) {
    if (lane.symbol().equals(workspace.focus().get())) {
      g.setFill(theme.colour(Tone.SELECTION));
      g.fillRect(0, y, getWidth(), ROW);
    }
    for (ReviewedMove move : lane.moves()) {
      g.setFill(
          theme.colour(Tone.ofChange(move.move().side().direction())).deriveColor(0, 1, 1, 0.22));
      double left = x(move.move().start());
      g.fillRect(left, y + 3, Math.max(3, x(move.move().end()) - left), ROW - 6);
      g.setStroke(theme.colour(Tone.ofChange(move.move().side().direction())));
      double last = -9;
      for (Hit hit : move.move().hits()) {
        double at = x(hit.at());
        if (at - last >= 2) {
          g.strokeLine(at, y + ROW - 8, at, y + ROW - 3);
          last = at;
        }
      }
    }
    for (Catalyst item : workspace.session().catalysts()) {
      if (item.at() >= DayTime.FIRST
          && item.known() <= workspace.now()
          && item.symbols().contains(lane.symbol())) {
        g.setFill(theme.colour(Tone.CATALYST));
        g.fillOval(x(item.at()) - 3, y + 3, 6, 6);
      }
    }
    lane.trades().forEach(trade -> trade(g, theme, trade, y));
    texts(g, theme, lane, y);
  }

  private void trade(GraphicsContext g, Theme theme, ReviewedTrade trade, double y) {
    double left = x(Math.max(DayTime.FIRST, trade.trade().entryAt()));
    double width =
        Math.max(3, x(trade.trade().closed() ? trade.trade().exitAt() : workspace.now()) - left);
    g.setFill(theme.colour(Tone.INK));
    g.fillRect(left, y + 9, width, 5);
    g.setFill(theme.colour(trade.trade().result().signum() >= 0 ? Tone.GOOD : Tone.BAD));
    g.fillRect(left + 1, y + 10, Math.max(1, width - 2), 3);
  }

  private void texts(GraphicsContext g, Theme theme, Lane lane, double y) {
    g.setTextBaseline(VPos.CENTER);
    g.setTextAlign(TextAlignment.LEFT);
    g.setFont(Theme.strongFont(12));
    g.setFill(theme.colour(Tone.INK));
    g.fillText(lane.symbol(), 8, y + ROW / 2);
    g.setFont(Theme.condensed(11));
    g.setFill(theme.colour(Tone.FADED));
    g.fillText(verdict(lane), getWidth() - VERDICT + 6, y + ROW / 2, VERDICT - 8);
    g.setStroke(theme.colour(Tone.LINES).deriveColor(0, 1, 1, 0.6));
    g.strokeLine(0, y + ROW - 0.5, getWidth(), y + ROW - 0.5);
  }

  /** The trade or move under the pointer, else the whole lane. */
  private String describe(MouseEvent event) {
    int index = (int) Math.floor((event.getY() - HEAD + scroll) / ROW);
    if (index < 0 || index >= lanes.size() || event.getY() < HEAD) {
      return "";
    }
    Lane lane = lanes.get(index);
    double at = event.getX();
    for (ReviewedTrade trade : lane.trades()) {
      long exit = trade.trade().closed() ? trade.trade().exitAt() : workspace.now();
      if (at >= x(Math.max(DayTime.FIRST, trade.trade().entryAt())) - 3 && at <= x(exit) + 3) {
        return lane.symbol()
            + ": a trade from "
            + DayTime.seconds(Math.max(0, trade.trade().entryAt()))
            + " to "
            + DayTime.seconds(exit)
            + ", "
            + Numbers.money(trade.trade().result().doubleValue())
            + "; "
            + trade.verdict().words();
      }
    }
    for (ReviewedMove move : lane.moves()) {
      if (at >= x(move.move().start()) - 3 && at <= x(move.move().end()) + 3) {
        return lane.symbol()
            + ": a move "
            + move.move().side().word()
            + " of "
            + move.move().hits().size()
            + " hits from "
            + DayTime.seconds(move.move().start())
            + "; "
            + move.verdict().word()
            + (move.outcome().ran() == Outcome.Ran.YES ? ", it ran" : "");
      }
    }
    return lane.symbol() + ": " + verdict(lane);
  }

  private static String verdict(Lane lane) {
    if (!lane.trades().isEmpty()) {
      return String.join(
          ", ", lane.trades().stream().map(t -> t.verdict().words()).distinct().toList());
    }
    MoveVerdict verdict = lane.moves().getFirst().verdict();
    long ran = lane.moves().stream().filter(m -> m.outcome().ran() == Outcome.Ran.YES).count();
    return verdict.word()
        + (ran == 0 ? ", did not run" : ", ran" + (ran > 1 ? " " + ran + " times" : ""));
  }
}
