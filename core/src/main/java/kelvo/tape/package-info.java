/**
 * The events of a session as they came: prices, sale conditions and what they update, cancelled and
 * corrected prints. Knows securities by number only.
 */
package kelvo.tape;
