package kelvo.trade;

/**
 * One execution.
 *
 * @param at when, {@link kelvo.time.DayTime}
 * @param symbol the security
 * @param side what it did
 * @param quantity shares, above 0
 * @param price {@link kelvo.tape.Price} units
 * @param fee all fees of it, {@link kelvo.tape.Price} units
 * @param account whose; may be empty
 * @param orderId the broker's; may be empty
 */
public record Fill(
    long at,
    String symbol,
    FillSide side,
    long quantity,
    long price,
    long fee,
    String account,
    String orderId) {
  public Fill {
    if (quantity <= 0) {
      throw new IllegalArgumentException("quantity must be above 0, found " + quantity);
    }
    if (price <= 0) {
      throw new IllegalArgumentException("price must be above 0");
    }
  }

  /** Shares with the sign of the side. */
  long signedQuantity() {
    return side.sign() * quantity;
  }

  /** This fill for a part of its shares, with that part of its fee. */
  Fill part(long shares) {
    return new Fill(at, symbol, side, shares, price, fee * shares / quantity, account, orderId);
  }

  /** What {@link #part} of the same shares leaves. */
  Fill rest(long shares) {
    return new Fill(
        at,
        symbol,
        side,
        quantity - shares,
        price,
        fee - fee * shares / quantity,
        account,
        orderId);
  }
}
