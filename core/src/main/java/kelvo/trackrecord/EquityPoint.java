package kelvo.trackrecord;

import kelvo.review.ReviewedTrade;

/**
 * The sum of all results once a trade was closed.
 *
 * @param trade the trade
 * @param sum all results so far, dollars
 * @param fall how far the sum is below its highest point, dollars, at least 0
 */
public record EquityPoint(ReviewedTrade trade, double sum, double fall) {}
