/** The part with the newest prints. */
package kelvo.desktop.prints;
