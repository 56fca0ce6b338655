package kelvo.trade;

import java.math.BigDecimal;
import kelvo.time.DayTime;

/** Fills of one account as short texts. */
public final class TestFills {
  private TestFills() {}

  /** Such as "09:31 TIDARC buy 100 8.30 0.05": time, symbol, side, quantity, price and fee. */
  public static Fill fill(String text) {
    String[] parts = text.split(" ");
    return new Fill(
        DayTime.parse(parts[0]),
        parts[1],
        FillSide.of(parts[2]),
        new BigDecimal(parts[3]),
        new BigDecimal(parts[4]),
        parts.length > 5 ? new BigDecimal(parts[5]) : BigDecimal.ZERO,
        "main",
        "");
  }
}
