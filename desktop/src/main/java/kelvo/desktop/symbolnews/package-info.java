/** The part with the news that names a symbol. */
package kelvo.desktop.symbolnews;
