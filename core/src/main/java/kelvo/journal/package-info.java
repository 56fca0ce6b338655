/**
 * What the trader did on a day: decisions, notes, what was looked at, levels and fills, in one book
 * that is asked as of a moment.
 */
package kelvo.journal;
