package kelvo.desktop.workspace;

/**
 * A moment that is to be seen in the middle of a symbol's chart.
 *
 * @param symbol the ticker
 * @param moment {@link kelvo.time.DayTime}
 */
public record LookedAt(String symbol, long moment) {}
