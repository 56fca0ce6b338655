package kelvo.market;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * One listed security.
 *
 * @param symbol its ticker
 * @param name the company's or fund's name
 * @param mic ISO 10383 venue of the primary listing
 * @param kind from the CFI code
 * @param sector broad trade; empty when unknown
 * @param industry narrower trade; empty when unknown
 * @param country ISO 3166 code; empty when unknown
 * @param sharesOutstanding shares; NaN when unknown
 * @param floatShares freely tradable shares; NaN when unknown
 * @param floatAsOf date of the float figure
 * @param shortable whether it can be sold short; null when unknown
 * @param benchmark whether its change is shown in the market weather
 */
public record Security(
    String symbol,
    String name,
    String mic,
    SecurityKind kind,
    String sector,
    String industry,
    String country,
    double sharesOutstanding,
    double floatShares,
    @Nullable LocalDate floatAsOf,
    @Nullable Boolean shortable,
    boolean benchmark) {
  public Security {
    if (symbol.isBlank()) {
      throw new IllegalArgumentException("a security needs a symbol");
    }
  }
}
