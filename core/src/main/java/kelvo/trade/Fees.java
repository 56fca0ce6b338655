package kelvo.trade;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What a broker takes, for fills that name no fee of their own.
 *
 * @param perShare dollars
 * @param perOrder dollars, once an order; a fill without an order is one
 */
public record Fees(BigDecimal perShare, BigDecimal perOrder) {
  /** Nothing. */
  public static final Fees NONE = new Fees(BigDecimal.ZERO, BigDecimal.ZERO);

  private record Order(String account, String id) {}

  /** These fills with their fees, where they name none; the first of an order has the order's. */
  public List<Fill> on(List<Fill> fills) {
    if (perShare.signum() == 0 && perOrder.signum() == 0) {
      return fills;
    }
    Set<Order> seen = new HashSet<>();
    List<Fill> with = new ArrayList<>();
    for (Fill fill : fills) {
      boolean first =
          fill.orderId().isEmpty() || seen.add(new Order(fill.account(), fill.orderId()));
      BigDecimal fee = perShare.multiply(fill.quantity()).add(first ? perOrder : BigDecimal.ZERO);
      with.add(fill.fee().signum() == 0 ? fill.withFee(fee) : fill);
    }
    return with;
  }

  /** What so many shares cost to buy and sell again, an order each, dollars. */
  public double roundTrip(double shares) {
    return 2 * (perShare.doubleValue() * shares + perOrder.doubleValue());
  }
}
