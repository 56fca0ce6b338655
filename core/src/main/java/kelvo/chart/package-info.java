/**
 * Bars, prints and measurements as charts draw them, made of a session and the states of its
 * securities. Draws nothing itself.
 */
package kelvo.chart;
