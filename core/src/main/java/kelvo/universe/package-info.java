/**
 * Which securities may ever appear: rules, and what was said by hand. Touches rules and the
 * session.
 */
package kelvo.universe;
