package kelvo.research;

import java.util.List;
import java.util.Locale;

/**
 * How earlier finds of a scan went: those of one security and those of all.
 *
 * @param until when they were held until
 * @param own of the security
 * @param all of all securities, this one too
 */
public record Echoes(String scan, String symbol, Held until, Part own, Part all) {
  /**
   * Some of the finds.
   *
   * @param cases those with a result by then
   * @param won how many of them won
   * @param mean result, a part of the entry, costs taken off; NaN without cases
   */
  public record Part(int cases, int won, double mean) {
    private static Part of(List<ResearchCase> some, Held until) {
      double[] results =
          some.stream()
              .mapToDouble(one -> one.result(until))
              .filter(result -> !Double.isNaN(result))
              .toArray();
      int won = 0;
      double sum = 0;
      for (double result : results) {
        won += result > 0 ? 1 : 0;
        sum += result;
      }
      return new Part(results.length, won, results.length == 0 ? Double.NaN : sum / results.length);
    }

    private String words() {
      return cases == 0
          ? "none"
          : String.format(Locale.ROOT, "%d of %d rose, %+.1f%%", won, cases, 100 * mean);
    }
  }

  /** Those of cases of earlier sessions, bought. */
  public static Echoes of(String scan, String symbol, List<ResearchCase> cases, Held until) {
    return new Echoes(
        scan,
        symbol,
        until,
        Part.of(cases.stream().filter(one -> one.symbol().equals(symbol)).toList(), until),
        Part.of(cases, until));
  }

  /** In one line. */
  public String words() {
    return scan
        + " before, until "
        + until.phrase()
        + ": "
        + symbol
        + " "
        + own.words()
        + "; all "
        + all.words();
  }
}
