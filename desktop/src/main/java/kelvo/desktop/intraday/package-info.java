/** The part with the chart of the day. */
package kelvo.desktop.intraday;
