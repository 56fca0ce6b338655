/**
 * Scans: named rules over the whole market with triggers, order and columns; who fits one at a
 * moment. Finds no hits itself: that is {@link kelvo.hit}.
 */
package kelvo.scan;
