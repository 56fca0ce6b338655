/**
 * What daily and minute bars of earlier sessions say: averages, swings, coils, splits, the usual
 * day. Touches the tape for prices only.
 */
package kelvo.history;
