/** The part with the chart of the days. */
package kelvo.desktop.days;
