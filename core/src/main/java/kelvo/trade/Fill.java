package kelvo.trade;

import java.math.BigDecimal;
import java.math.MathContext;
import kelvo.refusal.RefusedException;

/**
 * One execution. Quantity, price and fee are exact: brokers fill fractions of shares, and prices
 * and fees have up to six decimals.
 *
 * @param at when, {@link kelvo.time.DayTime}; below 0 on a day before the session
 * @param symbol the security
 * @param side what it did
 * @param quantity shares, above 0
 * @param price dollars a share, above 0
 * @param fee all fees of it, dollars; below 0 for a rebate
 * @param account whose; may be empty
 * @param orderId the broker's; may be empty
 */
public record Fill(
    long at,
    String symbol,
    FillSide side,
    BigDecimal quantity,
    BigDecimal price,
    BigDecimal fee,
    String account,
    String orderId) {
  public Fill {
    if (quantity.signum() <= 0) {
      throw new RefusedException("quantity must be above 0, found " + quantity);
    }
    if (price.signum() <= 0) {
      throw new RefusedException("price must be above 0");
    }
    quantity = plain(quantity);
    price = plain(price);
    fee = plain(fee);
  }

  /** The same number in one form, so that 6.5 equals 6.50. */
  private static BigDecimal plain(BigDecimal number) {
    BigDecimal stripped = number.stripTrailingZeros();
    return stripped.scale() < 0 ? stripped.setScale(0) : stripped;
  }

  /** What it did, as "buy 100 at 9.90". */
  public String words() {
    return side.word()
        + " "
        + quantity.toPlainString()
        + " at "
        + price.setScale(Math.max(2, price.scale())).toPlainString();
  }

  /** The same with another fee. */
  Fill withFee(BigDecimal other) {
    return new Fill(at, symbol, side, quantity, price, other, account, orderId);
  }

  /** Shares with the sign of the side. */
  BigDecimal signedQuantity() {
    return side.sign() > 0 ? quantity : quantity.negate();
  }

  /** The money of it without its fee: below 0 when it is paid. */
  BigDecimal cashFlow() {
    return signedQuantity().multiply(price).negate();
  }

  /** This fill for a part of its shares, with that part of its fee. */
  Fill part(BigDecimal shares) {
    return new Fill(at, symbol, side, shares, price, feeOf(shares), account, orderId);
  }

  /** What {@link #part} of the same shares leaves. */
  Fill rest(BigDecimal shares) {
    return new Fill(
        at,
        symbol,
        side,
        quantity.subtract(shares),
        price,
        fee.subtract(feeOf(shares)),
        account,
        orderId);
  }

  private BigDecimal feeOf(BigDecimal shares) {
    return fee.multiply(shares).divide(quantity, MathContext.DECIMAL128);
  }

  /**
   * This fill as seen from a later session.
   *
   * @param earlier how much later that session's midnight is, nanoseconds
   * @param ratio what a share of then has become by splits
   */
  Fill asOf(long earlier, BigDecimal ratio) {
    return new Fill(
        at - earlier,
        symbol,
        side,
        quantity.multiply(ratio),
        price.divide(ratio, MathContext.DECIMAL128),
        fee,
        account,
        orderId);
  }
}
