/** The Universe stage. */
package kelvo.desktop.universe;
