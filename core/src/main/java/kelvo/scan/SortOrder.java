package kelvo.scan;

import kelvo.field.Field;

/**
 * How a scan orders its matches from a moment on.
 *
 * @param from first moment, {@link kelvo.time.DayTime}; 0 for the whole day
 * @param field what to order by
 * @param descending largest first
 */
public record SortOrder(long from, Field.Number field, boolean descending) {}
