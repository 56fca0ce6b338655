/** The exchange's calendar, from a library of holidays. */
package kelvo.data.calendar;
