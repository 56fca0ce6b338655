/**
 * The state of a security and of the market as a whole, event by event. Owned by the thread that
 * replays; touches the session, never scans or rules.
 */
package kelvo.state;
