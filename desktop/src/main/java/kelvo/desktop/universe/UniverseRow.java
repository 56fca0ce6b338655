package kelvo.desktop.universe;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import kelvo.market.Price;
import kelvo.market.SecurityFacts;
import org.jspecify.annotations.Nullable;

/**
 * A security in the universe's table.
 *
 * @param byHand a mark when it was added or excluded by hand
 * @param whyOut empty when it is in
 */
record UniverseRow(
    SecurityFacts facts, String byHand, String whyOut, LocalDate today, String source) {
  String symbol() {
    return facts.symbol();
  }

  /** Close of the session before, dollars; NaN when unknown. */
  double close() {
    long close = facts.previousClose();
    return close == Price.NONE ? Double.NaN : Price.dollars(close);
  }

  /** Days since the float figure was right; NaN when unknown. */
  double floatAge() {
    @Nullable LocalDate asOf = facts.security().floatAsOf();
    return asOf == null ? Double.NaN : ChronoUnit.DAYS.between(asOf, today);
  }
}
