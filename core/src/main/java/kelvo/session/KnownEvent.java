package kelvo.session;

/**
 * An event known beforehand, such as a rate decision or an earnings report.
 *
 * @param at when, {@link kelvo.time.DayTime}
 * @param symbol whose; empty for the whole market
 * @param kind a word such as "rates" or "earnings"
 * @param title what, in words
 */
public record KnownEvent(long at, String symbol, String kind, String title) {}
