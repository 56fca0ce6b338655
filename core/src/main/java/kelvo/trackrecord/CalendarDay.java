package kelvo.trackrecord;

import java.math.BigDecimal;
import java.time.LocalDate;

/**
 * What a calendar says of a date.
 *
 * @param recorded whether its tape was recorded, so that it can be opened
 * @param trades how many trades were closed
 * @param net their result after fees, dollars; 0 without trades
 * @param reviewed whether the trader has said something of it
 */
public record CalendarDay(
    LocalDate date, boolean recorded, int trades, BigDecimal net, boolean reviewed) {}
