package kelvo.data.feed;

import com.fasterxml.jackson.databind.JsonNode;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import kelvo.refusal.RefusedException;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;

/** Reads a fill of the feed: the columns of a fills file, with the time as the feed writes it. */
final class FillJson {
  /** Written out, a number such as 1e999999999 would fill the memory. */
  private static final int MOST_DIGITS = 18;

  private FillJson() {}

  /**
   * The fill, its time counted from the session's midnight.
   *
   * @throws RefusedException when it is none
   */
  static Fill read(JsonNode fill, LocalDate session) {
    if (!fill.path("time").isIntegralNumber() || !fill.path("quantity").isNumber()) {
      throw new RefusedException("expected a fill with time, symbol, side, quantity and price");
    }
    var there =
        Instant.ofEpochMilli(fill.path("time").asLong()).atZone(DayTime.NEW_YORK).toLocalDateTime();
    return new Fill(
        Duration.between(session.atStartOfDay(), there).toNanos(),
        fill.path("symbol").asText(),
        FillSide.of(fill.path("side").asText()),
        number(fill.path("quantity"), "quantity"),
        number(fill.path("price"), "price"),
        number(fill.path("fee"), "fee"),
        fill.path("account").asText(),
        fill.path("order_id").asText());
  }

  private static BigDecimal number(JsonNode number, String what) {
    if (number.isMissingNode() && what.equals("fee")) {
      return BigDecimal.ZERO;
    }
    if (!number.isNumber()) {
      throw new RefusedException("expected a number as " + what + ", found " + number);
    }
    BigDecimal value = number.decimalValue();
    if (value.precision() - value.scale() > MOST_DIGITS || value.scale() > MOST_DIGITS) {
      throw new RefusedException(
          "expected a number of at most "
              + MOST_DIGITS
              + " digits before and after the point as "
              + what
              + ", found "
              + number);
    }
    return value;
  }
}
