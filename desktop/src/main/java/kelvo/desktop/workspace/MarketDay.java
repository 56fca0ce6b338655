package kelvo.desktop.workspace;

import kelvo.player.SessionRun;
import kelvo.session.EarlierSessions;
import kelvo.session.Session;

/**
 * The market of an opened day.
 *
 * @param run the session as it is played through what the trader looks for
 * @param earlier the recorded sessions before it
 */
public record MarketDay(Session session, SessionRun run, EarlierSessions earlier) {}
