package kelvo.desktop.review;

import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Painted;
import kelvo.desktop.theme.PointedWords;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Workspace;
import kelvo.hit.Hit;
import kelvo.job.LatestAnswer;
import kelvo.news.Catalyst;
import kelvo.review.DayReview;
import kelvo.review.ReviewLane;
import kelvo.review.ReviewSettings;
import kelvo.review.ReviewedMove;
import kelvo.review.ReviewedTrade;
import kelvo.review.TradeVerdict;
import kelvo.review.VerdictText;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * A row for each symbol that matters: time across, hits as ticks, moves as bands, trades as bars
 * from entry to exit, catalysts as dots, the verdict in words at the end.
 */
final class LanesView extends Painted {
  private static final double ROW = 30;
  private static final double NAME = 78;
  private static final double VERDICT = 150;
  private static final double HEAD = 16;

  private final Workspace workspace;
  private final LatestAnswer ordering;
  private List<ReviewLane> lanes = List.of();
  private final Consumer<ReviewedTrade> onTrade;
  private final Consumer<ReviewedMove> onMove;
  private ReviewLane.Order order = ReviewLane.Order.VERDICT;
  private @Nullable DayReview review;
  private double scroll;

  /**
   * No lanes yet.
   *
   * @param onTrade takes a trade that is clicked
   * @param onMove takes a move that is clicked
   */
  LanesView(Workspace workspace, Consumer<ReviewedTrade> onTrade, Consumer<ReviewedMove> onMove) {
    super(workspace.window().theme());
    this.workspace = workspace;
    ordering = workspace.answers().latest("ordering lanes");
    this.onTrade = onTrade;
    this.onMove = onMove;
    setId("lanes");
    setOnScroll(
        e -> {
          scroll =
              Math.clamp(
                  scroll - e.getDeltaY(), 0, Math.max(0, lanes.size() * ROW - getHeight() + HEAD));
          repaint();
        });
    setOnMousePressed(this::choose);
    PointedWords.of(this, this::describe);
    workspace.focus().symbol().addListener((o, was, is) -> repaint());
  }

  /** Shows a review; null while there is none. */
  void show(@Nullable DayReview newest) {
    review = newest;
    if (newest == null) {
      ordering.stop();
      show(List.of(), order);
    } else {
      ReviewLane.Order by = order;
      ordering.ask(progress -> ReviewLane.of(newest, by), ordered -> show(ordered, by));
    }
  }

  private void show(List<ReviewLane> ordered, ReviewLane.Order by) {
    lanes = ordered;
    setAccessibleText(
        "Lanes by "
            + by.name().toLowerCase(Locale.ROOT)
            + ": hits, moves and trades of "
            + ordered.size()
            + (ordered.size() == 1 ? " symbol" : " symbols"));
    repaint();
  }

  /** Orders the lanes otherwise. */
  void order(ReviewLane.Order wanted) {
    order = wanted;
    scroll = 0;
    show(review);
  }

  /** What was clicked: the trade or move under the pointer, else what matters most in the lane. */
  private void choose(MouseEvent event) {
    int index = (int) Math.floor((event.getY() - HEAD + scroll) / ROW);
    if (index < 0 || index >= lanes.size() || event.getY() < HEAD) {
      return;
    }
    ReviewLane lane = lanes.get(index);
    ReviewedTrade trade = tradeAt(lane, event.getX());
    ReviewedMove move = moveAt(lane, event.getX());
    if (trade != null) {
      onTrade.accept(trade);
    } else if (move != null) {
      onMove.accept(move);
    } else if (!lane.trades().isEmpty()) {
      onTrade.accept(lane.loudestTrade());
    } else {
      onMove.accept(lane.loudestMove());
    }
  }

  private @Nullable ReviewedTrade tradeAt(ReviewLane lane, double x) {
    return lane.trades().stream()
        .filter(t -> x >= x(entry(t)) - 3 && x <= x(exit(t)) + 3)
        .findFirst()
        .orElse(null);
  }

  private @Nullable ReviewedMove moveAt(ReviewLane lane, double x) {
    return lane.moves().stream()
        .filter(m -> x >= x(m.move().start()) - 3 && x <= x(m.move().end()) + 3)
        .findFirst()
        .orElse(null);
  }

  private static long entry(ReviewedTrade trade) {
    return Math.max(DayTime.FIRST, trade.trade().entryAt());
  }

  private long exit(ReviewedTrade trade) {
    return trade.trade().closed() ? trade.trade().exitAt() : workspace.clock().now();
  }

  private double x(long moment) {
    double width = getWidth() - NAME - VERDICT;
    double part = (moment - DayTime.FIRST) / (double) (DayTime.LAST - DayTime.FIRST);
    return NAME + width * Math.clamp(part, 0, 1);
  }

  @Override
  protected void paint(GraphicsContext g, Theme theme) {
    if (getWidth() < NAME + VERDICT) {
      return;
    }
    for (int i = (int) (scroll / ROW);
        i < lanes.size() && HEAD + i * ROW - scroll < getHeight();
        i++) {
      lane(g, theme, lanes.get(i), HEAD + i * ROW - scroll);
    }
    hours(g, theme);
    if (lanes.isEmpty()) {
      g.setTextAlign(TextAlignment.LEFT);
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
    for (int hour = 4; hour < 20; hour += 2) {
      double x = x(DayTime.of(hour, 0));
      g.setStroke(theme.colour(Tone.LINES));
      g.strokeLine(x, HEAD, x, getHeight());
      g.setFill(theme.colour(Tone.FADED));
      g.fillText(DayTime.minutes(DayTime.of(hour, 0)), x, HEAD / 2);
    }
  }

  private void lane(GraphicsContext g, Theme theme, ReviewLane lane, double y) {
    if (lane.symbol().equals(workspace.focus().symbol().get())) {
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
          g.strokeLine(at, y + ROW - 10, at, y + ROW - 4);
          last = at;
        }
      }
    }
    for (Catalyst item : workspace.session().catalysts()) {
      if (item.at() >= DayTime.FIRST
          && item.known() <= workspace.clock().now()
          && item.symbols().contains(lane.symbol())) {
        g.setFill(theme.colour(Tone.CATALYST));
        g.fillOval(x(item.at()) - 3, y + 3, 6, 6);
      }
    }
    lane.trades().forEach(trade -> trade(g, theme, trade, y));
    texts(g, theme, lane, y);
  }

  private void trade(GraphicsContext g, Theme theme, ReviewedTrade trade, double y) {
    double left = x(entry(trade));
    double width = Math.max(3, x(exit(trade)) - left);
    g.setFill(theme.colour(Tone.INK));
    g.fillRect(left, y + 8, width, 6);
    g.setFill(theme.colour(trade.trade().result().signum() >= 0 ? Tone.GOOD : Tone.BAD));
    g.fillRect(left + 1, y + 9, Math.max(1, width - 2), 4);
  }

  private void texts(GraphicsContext g, Theme theme, ReviewLane lane, double y) {
    g.setTextBaseline(VPos.CENTER);
    g.setTextAlign(TextAlignment.LEFT);
    g.setFont(Theme.strongFont(12));
    g.setFill(theme.colour(Tone.INK));
    g.fillText(lane.symbol(), 8, y + ROW / 2);
    VerdictText text = lane.text(workspace.review().settings());
    double left = getWidth() - VERDICT + 6;
    g.setFill(theme.colour(tone(lane)));
    g.fillText(text.verdict(), left, y + 9, VERDICT - 8);
    g.setFont(Theme.condensed(11));
    g.setFill(theme.colour(Tone.FADED));
    g.fillText(text.because(), left, y + 21, VERDICT - 8);
    g.setStroke(theme.colour(Tone.LINES).deriveColor(0, 1, 1, 0.6));
    g.strokeLine(0, y + ROW - 0.5, getWidth(), y + ROW - 0.5);
  }

  private static Tone tone(ReviewLane lane) {
    if (!lane.trades().isEmpty()) {
      return lane.loudestTrade().verdict() == TradeVerdict.ON_A_HIT ? Tone.GOOD : Tone.BAD;
    }
    return lane.loudestMove().costs() ? Tone.CATALYST : Tone.FADED;
  }

  /** The trade or move under the pointer, else the whole lane. */
  private String describe(MouseEvent event) {
    int index = (int) Math.floor((event.getY() - HEAD + scroll) / ROW);
    if (index < 0 || index >= lanes.size() || event.getY() < HEAD) {
      return "";
    }
    ReviewLane lane = lanes.get(index);
    ReviewedTrade trade = tradeAt(lane, event.getX());
    ReviewedMove move = moveAt(lane, event.getX());
    ReviewSettings settings = workspace.review().settings();
    VerdictText text =
        trade != null
            ? VerdictText.of(trade, settings)
            : move != null ? VerdictText.of(move, settings) : lane.text(settings);
    String what =
        trade != null
            ? ": a trade, " + Numbers.money(trade.result()) + "; "
            : move != null
                ? ": a move " + move.move().side().word() + " of " + hits(move) + "; "
                : ": ";
    return lane.symbol() + what + text.verdict() + ", " + text.because() + "\n" + text.rule();
  }

  private static String hits(ReviewedMove move) {
    int hits = move.move().hits().size();
    return hits == 1 ? "1 hit" : hits + " hits";
  }
}
