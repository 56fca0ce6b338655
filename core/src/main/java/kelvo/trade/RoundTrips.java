package kelvo.trade;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Makes trades of fills, per account and symbol. A buy or a short that takes the position through
 * zero ends one trade and begins the next, split by quantity with its fee. A sell or a cover only
 * closes: what it closes beyond the position was opened before the record.
 *
 * @param trades by time of entry
 * @param beforeRecord fills, or parts of them, that close what is not known to have been opened
 */
public record RoundTrips(List<Trade> trades, List<Fill> beforeRecord) {
  public RoundTrips {
    trades = List.copyOf(trades);
    beforeRecord = List.copyOf(beforeRecord);
  }

  private record Owner(String account, String symbol) {}

  /** The trades of these fills; at equal times the order of the list counts. */
  public static RoundTrips of(List<Fill> fills, CostMethod method) {
    Map<Owner, Position> positions = new LinkedHashMap<>();
    fills.stream()
        .sorted(Comparator.comparingLong(Fill::at))
        .forEach(
            f ->
                positions
                    .computeIfAbsent(new Owner(f.account(), f.symbol()), o -> new Position(method))
                    .fill(f));
    List<Trade> trades = new ArrayList<>();
    List<Fill> before = new ArrayList<>();
    for (Position position : positions.values()) {
      position.endOpen();
      trades.addAll(position.trades);
      before.addAll(position.beforeRecord);
    }
    trades.sort(Comparator.comparingLong(Trade::entryAt));
    before.sort(Comparator.comparingLong(Fill::at));
    return new RoundTrips(trades, before);
  }

  /** The fills of the trades that are still open, in order of time. */
  public List<Fill> open() {
    return trades.stream()
        .filter(trade -> !trade.closed())
        .flatMap(trade -> trade.fills().stream())
        .sorted(Comparator.comparingLong(Fill::at))
        .toList();
  }

  /** What one account holds of one symbol. */
  private static final class Position {
    private final CostMethod method;
    private final List<Trade> trades = new ArrayList<>();
    private final List<Fill> beforeRecord = new ArrayList<>();
    private final Deque<Fill> lots = new ArrayDeque<>();
    private List<Fill> current = new ArrayList<>();
    private BigDecimal held = BigDecimal.ZERO;
    private BigDecimal gains = BigDecimal.ZERO;

    Position(CostMethod method) {
      this.method = method;
    }

    void fill(Fill fill) {
      boolean closes = held.signum() * fill.side().sign() < 0;
      BigDecimal closing = closes ? held.abs().min(fill.quantity()) : BigDecimal.ZERO;
      boolean whole = closing.compareTo(fill.quantity()) == 0;
      if (closing.signum() > 0) {
        close(whole ? fill : fill.part(closing));
      }
      if (!whole) {
        Fill left = closing.signum() > 0 ? fill.rest(closing) : fill;
        if (fill.side().opens()) {
          open(left);
        } else {
          beforeRecord.add(left);
        }
      }
    }

    private void open(Fill fill) {
      current.add(fill);
      lots.addLast(fill);
      held = held.add(fill.signedQuantity());
    }

    private void close(Fill fill) {
      current.add(fill);
      if (method == CostMethod.AVERAGE_COST) {
        averageLots();
      }
      BigDecimal left = fill.quantity();
      while (left.signum() > 0) {
        Fill lot = lots.removeFirst();
        BigDecimal matched = left.min(lot.quantity());
        BigDecimal gain = fill.price().subtract(lot.price()).multiply(matched);
        gains = lot.side().sign() > 0 ? gains.add(gain) : gains.subtract(gain);
        if (matched.compareTo(lot.quantity()) < 0) {
          lots.addFirst(lot.rest(matched));
        }
        left = left.subtract(matched);
      }
      held = held.add(fill.signedQuantity());
      if (held.signum() == 0) {
        end(current.stream().map(Fill::cashFlow).reduce(BigDecimal.ZERO, BigDecimal::add));
      }
    }

    /** Puts one lot at the average price in place of all. */
    private void averageLots() {
      BigDecimal shares =
          lots.stream().map(Fill::quantity).reduce(BigDecimal.ZERO, BigDecimal::add);
      BigDecimal money =
          lots.stream()
              .map(f -> f.quantity().multiply(f.price()))
              .reduce(BigDecimal.ZERO, BigDecimal::add);
      Fill first = lots.getFirst();
      lots.clear();
      lots.add(
          new Fill(
              first.at(),
              first.symbol(),
              first.side(),
              shares,
              money.divide(shares, MathContext.DECIMAL128),
              BigDecimal.ZERO,
              first.account(),
              first.orderId()));
    }

    /** A trade that is open counts by what it has realised. */
    void endOpen() {
      if (!current.isEmpty()) {
        end(gains);
      }
    }

    private void end(BigDecimal result) {
      Fill first = current.getFirst();
      TradeSide side = first.side().sign() > 0 ? TradeSide.LONG : TradeSide.SHORT;
      BigDecimal fees = current.stream().map(Fill::fee).reduce(BigDecimal.ZERO, BigDecimal::add);
      trades.add(
          new Trade(
              first.account(), first.symbol(), side, current, result.subtract(fees), held.abs()));
      current = new ArrayList<>();
      lots.clear();
      gains = BigDecimal.ZERO;
    }
  }
}
