/**
 * Lists of symbols that the trader watches: those of the trader's own, and {@link
 * kelvo.watchlist.TheTen}, made of the day's decisions. May touch the journal; knows nothing of
 * alerts, which ask it who is on it.
 */
package kelvo.watchlist;
