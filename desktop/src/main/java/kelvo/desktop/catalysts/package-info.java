/** The Catalysts stage. */
package kelvo.desktop.catalysts;
