package kelvo.research;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/**
 * A security in a session at the moment of a question, and what came of it.
 *
 * @param at the moment, {@link kelvo.time.DayTime}
 * @param enteredAt of the print after it
 * @param entry the price paid or got: that print's with half of the spread, dollars
 * @param spreadAssumed whether no quote told the spread, so that the usual one or a tick stands for
 *     it
 * @param results by {@link Held}: the part won of the entry, costs taken off; NaN when it cannot be
 *     known, as of a close that comes before the entry
 * @param best by {@link Held}: the furthest that the price went for the case by then, as a part of
 *     the entry, 0 or more; NaN likewise
 * @param worst likewise against the case, 0 or less
 * @param timesTo by {@link Reach}
 * @param gone whether the security ended before the last horizon, whose results then use its last
 *     price
 */
public record ResearchCase(
    LocalDate date,
    String symbol,
    long at,
    long enteredAt,
    double entry,
    boolean spreadAssumed,
    List<Double> results,
    List<Double> best,
    List<Double> worst,
    List<TimeTo> timesTo,
    boolean gone,
    CaseTraits traits) {
  public ResearchCase {
    results = List.copyOf(results);
    best = List.copyOf(best);
    worst = List.copyOf(worst);
    timesTo = List.copyOf(timesTo);
  }

  /** A case with what came of it. */
  public static ResearchCase of(
      LocalDate date,
      String symbol,
      long at,
      CasePath.Entry entry,
      CaseResults results,
      CaseTraits traits) {
    return new ResearchCase(
        date,
        symbol,
        at,
        entry.at(),
        entry.price(),
        entry.spreadAssumed(),
        results.results(),
        results.best(),
        results.worst(),
        results.timesTo(),
        results.isGone(),
        traits);
  }

  /** The part won by then; NaN when it cannot be known. */
  public double result(Held until) {
    return results.get(until.ordinal());
  }

  /** How long it took to be so far ahead and behind. */
  public TimeTo timeTo(Reach reach) {
    return timesTo.get(reach.ordinal());
  }

  /** By {@link Cut}: in which cell the case is; a cut that cannot be told has none. */
  public Map<Cut, String> cells() {
    return traits.cells();
  }

  /** The same with other traits. */
  ResearchCase with(CaseTraits other) {
    return new ResearchCase(
        date,
        symbol,
        at,
        enteredAt,
        entry,
        spreadAssumed,
        results,
        best,
        worst,
        timesTo,
        gone,
        other);
  }
}
