/** The part with the numbers about a symbol and the checks of the morning. */
package kelvo.desktop.facts;
