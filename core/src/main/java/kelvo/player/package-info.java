/**
 * What moves a window through a session, recorded or live: a thread that owns the market and
 * answers the views that are followed.
 *
 * <pre>
 *   commands -> Player (thread "engine") -> View.look(Moment) -> the window
 *                  |  ^
 *      LatestAnswer (thread "replay"): other scans and levels, replayed apart
 * </pre>
 */
package kelvo.player;
