/** Measurements; never shipped. */
package kelvo.bench;
