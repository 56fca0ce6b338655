package kelvo.review;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import kelvo.hit.Hit;
import kelvo.journal.DayBook;
import kelvo.journal.HandMatch;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.state.PricePath;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trade.Trade;
import kelvo.watchlist.TheTen;
import org.jspecify.annotations.Nullable;

/** Holds one trade against the moves of its symbol. */
final class TradeReview {
  private static final long HALF_HOUR = 30 * DayTime.MINUTE;

  private final Trade trade;
  private final PricePath path;
  private final DayBook book;
  private final ReviewSettings settings;
  private final TradeContext context;
  private final int direction;

  TradeReview(
      Trade trade, PricePath path, DayBook book, ReviewSettings settings, TradeContext context) {
    this.trade = trade;
    this.path = path;
    this.book = book;
    this.settings = settings;
    this.context = context;
    direction = trade.side().direction();
  }

  ReviewedTrade against(List<Move> moves) {
    Optional<HandMatch> said = book.page().matchOf(ReviewedTrade.subjectOf(trade));
    if (said.isPresent() && said.get().says() == HandMatch.Says.OFF_PLAN) {
      return review(null, true);
    }
    Optional<Move> named =
        said.flatMap(
            match ->
                moves.stream()
                    .filter(move -> ReviewedTrade.couldBeOn(trade, move))
                    .filter(move -> move.start() == match.moveStart())
                    .findFirst());
    Optional<Move> on =
        named.or(
            () -> moves.stream().filter(this::isOn).max(Comparator.comparingLong(Move::start)));
    return review(on.orElse(null), named.isPresent());
  }

  private boolean isOn(Move move) {
    return move.symbol().equals(trade.symbol())
        && move.side() == trade.side().way()
        && move.start() <= trade.entryAt()
        && trade.entryAt() <= move.end() + settings.entryAfter();
  }

  private ReviewedTrade review(@Nullable Move move, boolean byHand) {
    double hitPrice = move == null ? Double.NaN : Price.dollars(move.startPrice());
    double chase = direction * (trade.entryPrice() - hitPrice);
    double chasePercent = 100 * chase / hitPrice;
    return new ReviewedTrade(
        trade,
        verdict(move, chasePercent),
        move,
        move == null ? null : followed(move),
        atPlannedLevel(),
        move == null ? 0 : trade.entryAt() - move.start(),
        chasePercent,
        chase * trade.shares().doubleValue(),
        planned(),
        move == null ? Double.NaN : capturedShare(move),
        r(),
        against(direction),
        against(-direction),
        byHand,
        context);
  }

  private TradeVerdict verdict(@Nullable Move move, double chasePercent) {
    if (trade.entryAt() < 0) {
      return TradeVerdict.OVERNIGHT;
    }
    if (move == null) {
      return TradeVerdict.OFF_PLAN;
    }
    long after = trade.entryAt() - followed(move).at();
    boolean slow = after > settings.lateAfter() && !atPlannedLevel();
    return chasePercent > settings.lateChasePercent() || slow
        ? TradeVerdict.LATE
        : TradeVerdict.ON_A_HIT;
  }

  /** The last hit that could have led to the trade; of several at once the first. */
  private Hit followed(Move move) {
    Hit followed = move.hits().getFirst();
    for (Hit hit : move.hits()) {
      if (hit.at() > followed.at() && hit.at() <= trade.entryAt()) {
        followed = hit;
      }
    }
    return followed;
  }

  private boolean atPlannedLevel() {
    return book.levelsOn(trade.symbol(), trade.entryAt()).stream()
        .mapToDouble(l -> Price.dollars(l.priceAt(trade.entryAt())))
        .anyMatch(
            level ->
                Math.abs(trade.entryPrice() - level) <= level * settings.atLevelPercent() / 100);
  }

  private boolean planned() {
    return TheTen.at(book, trade.entryAt())
        .on(trade.symbol())
        .filter(d -> d.side() == trade.side().way())
        .isPresent();
  }

  private double capturedShare(Move move) {
    long until = Math.max(trade.exitAt(), move.start() + HALF_HOUR);
    long best = path.best(move.start() - 1, until, direction);
    double run = direction * (best - move.startPrice()) / (double) Price.DOLLAR;
    return best == Price.NONE || run <= 0
        ? Double.NaN
        : direction * (trade.exitPrice() - trade.entryPrice()) / run;
  }

  private double r() {
    return book.levelsOn(trade.symbol(), trade.entryAt()).stream()
        .filter(l -> l.kind() == LevelKind.STOP)
        .mapToLong(Level::price)
        .mapToDouble(
            stop ->
                trade.peakShares().doubleValue()
                    * Math.abs(trade.entryPrice() - Price.dollars(stop)))
        .filter(risk -> risk > 0)
        .map(risk -> trade.result().doubleValue() / risk)
        .findFirst()
        .orElse(Double.NaN);
  }

  private double against(int way) {
    long price = path.best(trade.entryAt() - 1, trade.exitAt(), way);
    return price == Price.NONE
        ? Double.NaN
        : 100 * direction * (Price.dollars(price) - trade.entryPrice()) / trade.entryPrice();
  }
}
