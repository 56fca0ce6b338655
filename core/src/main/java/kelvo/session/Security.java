package kelvo.session;

import java.time.LocalDate;
import java.util.Map;
import kelvo.refusal.RefusedException;
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
 * @param floatAsOf date of the float figure; null when it is not said
 * @param sharesAsOf date of the shares outstanding; null when it is not said
 * @param shortable whether it can be sold short; null when unknown
 * @param benchmark whether its change is shown with the market breadth
 * @param extra what further columns of the file say, by the column's name
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
    @Nullable LocalDate sharesAsOf,
    @Nullable Boolean shortable,
    boolean benchmark,
    Map<String, String> extra) {
  /** A security without further columns, both of whose share figures are of one date. */
  public Security(
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
    this(
        symbol,
        name,
        mic,
        kind,
        sector,
        industry,
        country,
        sharesOutstanding,
        floatShares,
        floatAsOf,
        floatAsOf,
        shortable,
        benchmark,
        Map.of());
  }

  /** Its tier in the rules on volatility bands: 1 for members of the large indexes, else 2. */
  public int tier() {
    return "1".equals(extra.get("tier")) ? 1 : 2;
  }

  /**
   * By what a fund multiplies the moves of what it follows, whichever way: the file's {@code
   * leverage}; 1 without one.
   */
  public double leverage() {
    try {
      double leverage = Math.abs(Double.parseDouble(extra.getOrDefault("leverage", "1")));
      return leverage > 1 ? leverage : 1;
    } catch (NumberFormatException e) {
      return 1;
    }
  }

  public Security {
    extra = Map.copyOf(extra);
    if (symbol.isBlank()) {
      throw new RefusedException("expected a symbol");
    }
  }
}
