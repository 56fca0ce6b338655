/** Lists painted on a canvas, with keyboard, selection, copy and export. */
package kelvo.desktop.grid;
