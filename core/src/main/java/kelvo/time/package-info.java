/**
 * Times of a trading day: moments as nanoseconds since midnight in New York, session hours, phases,
 * and the port to an exchange calendar. Touches nothing else of Kelvo.
 */
package kelvo.time;
