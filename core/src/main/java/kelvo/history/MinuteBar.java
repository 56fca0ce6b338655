package kelvo.history;

import kelvo.tape.Price;

/**
 * One minute of a security. Prices are {@link Price} units.
 *
 * @param start first moment of the minute
 * @param vwap plain VWAP at its end, dollars; NaN when unknown
 * @param ema9 9-bar exponential average at its end, dollars; NaN when unknown
 */
public record MinuteBar(
    long start,
    long open,
    long high,
    long low,
    long close,
    long volume,
    double vwap,
    double ema9) {}
