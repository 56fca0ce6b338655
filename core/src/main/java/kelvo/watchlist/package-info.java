/**
 * Lists of symbols that the trader watches. Today there is one, {@link kelvo.watchlist.TheTen},
 * made of the day's decisions. May touch the journal; knows nothing of alerts, which ask it who is
 * on it.
 */
package kelvo.watchlist;
