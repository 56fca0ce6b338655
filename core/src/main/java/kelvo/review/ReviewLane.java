package kelvo.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A symbol's moves and trades, which stand in one row.
 *
 * @param moves by time of first hit
 * @param trades by time of entry
 */
public record ReviewLane(String symbol, List<ReviewedMove> moves, List<ReviewedTrade> trades) {
  /** What the lanes are ordered by. */
  public enum Order {
    /** Trades first, then what ran without one, then the rest. */
    VERDICT,
    /** The earliest first. */
    TIME,
    /** By the name of the scan that hit first, then by time. */
    SCAN;

    private Comparator<Placed> comparator() {
      return switch (this) {
        case VERDICT ->
            Comparator.comparingInt(Placed::rank)
                .thenComparing(Comparator.comparingDouble(Placed::weight).reversed());
        case TIME -> Comparator.comparingLong(Placed::start);
        case SCAN -> Comparator.comparing(Placed::scan).thenComparingLong(Placed::start);
      };
    }
  }

  /** A lane with what it is ordered by, worked out once. */
  private record Placed(ReviewLane lane, int rank, double weight, long start, String scan) {
    static Placed of(ReviewLane lane) {
      return new Placed(lane, lane.rank(), lane.weight(), lane.start(), lane.scan());
    }

    String symbol() {
      return lane.symbol();
    }
  }

  private static final int LOUDEST_UNTRADED = 4;

  public ReviewLane {
    moves = List.copyOf(moves);
    trades = List.copyOf(trades);
  }

  /** The lanes of a review, in an order. */
  public static List<ReviewLane> of(DayReview review, Order order) {
    Map<String, List<ReviewedMove>> moves = new LinkedHashMap<>();
    Map<String, List<ReviewedTrade>> trades = new LinkedHashMap<>();
    review
        .trades()
        .forEach(t -> trades.computeIfAbsent(t.trade().symbol(), s -> new ArrayList<>()).add(t));
    review
        .moves()
        .forEach(m -> moves.computeIfAbsent(m.move().symbol(), s -> new ArrayList<>()).add(m));
    List<String> symbols = new ArrayList<>(trades.keySet());
    moves.keySet().stream().filter(symbol -> !trades.containsKey(symbol)).forEach(symbols::add);
    return symbols.stream()
        .map(
            symbol ->
                new ReviewLane(
                    symbol,
                    moves.getOrDefault(symbol, List.of()),
                    trades.getOrDefault(symbol, List.of())))
        .map(Placed::of)
        .sorted(order.comparator().thenComparing(Placed::symbol))
        .map(Placed::lane)
        .toList();
  }

  /** What matters most in it, in words. */
  public VerdictText text(ReviewSettings settings) {
    return trades.isEmpty()
        ? VerdictText.of(loudestMove(), settings)
        : VerdictText.of(loudestTrade(), settings);
  }

  /** The trade with the largest result, won or lost. There must be one. */
  public ReviewedTrade loudestTrade() {
    return trades.stream().max(Comparator.comparingDouble(t -> Math.abs(t.result()))).orElseThrow();
  }

  /** The move that cost most: the one that went furthest of those that ran, else the first. */
  public ReviewedMove loudestMove() {
    return moves.stream()
        .filter(ReviewedMove::costs)
        .max(Comparator.comparingDouble(m -> m.outcome().halfHour().best()))
        .orElseGet(moves::getFirst);
  }

  private int rank() {
    if (!trades.isEmpty()) {
      return loudestTrade().verdict().ordinal();
    }
    ReviewedMove move = loudestMove();
    if (!move.costs()) {
      return LOUDEST_UNTRADED + 3;
    }
    return LOUDEST_UNTRADED
        + switch (move.verdict()) {
          case MISSED -> 0;
          case DROPPED -> 1;
          default -> 2;
        };
  }

  private double weight() {
    if (!trades.isEmpty()) {
      return loudestTrade().result();
    }
    return rank() < LOUDEST_UNTRADED + 3
        ? loudestMove().outcome().halfHour().best()
        : moves.stream().mapToInt(m -> m.move().hits().size()).sum();
  }

  private long start() {
    return Math.min(
        moves.isEmpty() ? Long.MAX_VALUE : moves.getFirst().move().start(),
        trades.isEmpty() ? Long.MAX_VALUE : trades.getFirst().trade().entryAt());
  }

  /** Off plan comes last. */
  private String scan() {
    return moves.isEmpty() ? "\uffff" : moves.getFirst().move().hits().getFirst().scan();
  }
}
