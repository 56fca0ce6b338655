/** The focus side of the window: the symbol in focus with its parts. */
package kelvo.desktop.focus;
