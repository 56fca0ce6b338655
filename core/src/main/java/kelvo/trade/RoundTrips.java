package kelvo.trade;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Makes trades of fills, per account and symbol. A fill that takes the position through zero ends
 * one trade and begins the next, split by quantity with its fee.
 */
public final class RoundTrips {
  private record Owner(String account, String symbol) {}

  private final CostMethod method;
  private final List<Trade> trades = new ArrayList<>();
  private final Deque<Fill> lots = new ArrayDeque<>();
  private List<Fill> current = new ArrayList<>();
  private long position;
  private long gains;

  private RoundTrips(CostMethod method) {
    this.method = method;
  }

  /** The trades of these fills, by time of entry. */
  public static List<Trade> of(List<Fill> fills, CostMethod method) {
    Map<Owner, List<Fill>> byOwner = new LinkedHashMap<>();
    fills.stream()
        .sorted(Comparator.comparingLong(Fill::at))
        .forEach(
            f ->
                byOwner
                    .computeIfAbsent(new Owner(f.account(), f.symbol()), o -> new ArrayList<>())
                    .add(f));
    List<Trade> all = new ArrayList<>();
    byOwner.values().forEach(owned -> all.addAll(new RoundTrips(method).tradesOf(owned)));
    all.sort(Comparator.comparingLong(Trade::entryAt));
    return all;
  }

  private List<Trade> tradesOf(List<Fill> fills) {
    for (Fill fill : fills) {
      long toFlat = Math.abs(position);
      boolean closes = position != 0 && Long.signum(position) != fill.side().sign();
      if (closes && fill.quantity() > toFlat) {
        take(fill.part(toFlat));
        take(fill.rest(toFlat));
      } else {
        take(fill);
      }
    }
    if (!current.isEmpty()) {
      end();
    }
    return trades;
  }

  private void take(Fill fill) {
    boolean closes = position != 0 && Long.signum(position) != fill.side().sign();
    current.add(fill);
    if (closes) {
      close(fill);
    } else {
      lots.addLast(fill);
    }
    position += fill.signedQuantity();
    if (position == 0) {
      end();
    }
  }

  private void close(Fill fill) {
    if (method == CostMethod.AVERAGE_COST) {
      averageLots();
    }
    long left = fill.quantity();
    while (left > 0) {
      Fill lot = lots.removeFirst();
      long matched = Math.min(left, lot.quantity());
      gains += lot.side().sign() * (fill.price() - lot.price()) * matched;
      if (matched < lot.quantity()) {
        lots.addFirst(lot.rest(matched));
      }
      left -= matched;
    }
  }

  /** Puts one lot at the average price in place of all. The rounding stays below a unit a share. */
  private void averageLots() {
    long shares = lots.stream().mapToLong(Fill::quantity).sum();
    long money = lots.stream().mapToLong(f -> f.quantity() * f.price()).sum();
    Fill first = lots.getFirst();
    lots.clear();
    lots.add(
        new Fill(
            first.at(),
            first.symbol(),
            first.side(),
            shares,
            Math.round(money / (double) shares),
            0,
            first.account(),
            first.orderId()));
  }

  private void end() {
    Fill first = current.getFirst();
    TradeSide side = first.side().sign() > 0 ? TradeSide.LONG : TradeSide.SHORT;
    long result = position == 0 ? proceedsLessCost() : gains;
    long fees = current.stream().mapToLong(Fill::fee).sum();
    trades.add(
        new Trade(
            first.account(), first.symbol(), side, current, result - fees, Math.abs(position)));
    current = new ArrayList<>();
    lots.clear();
    gains = 0;
  }

  private long proceedsLessCost() {
    return current.stream().mapToLong(f -> -f.signedQuantity() * f.price()).sum();
  }
}
