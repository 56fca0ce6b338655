/**
 * The checks of the morning: rules of the trader's own that are asked of one symbol before it is
 * kept.
 */
package kelvo.check;
