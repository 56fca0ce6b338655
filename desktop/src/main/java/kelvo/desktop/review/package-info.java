/** The Review stage. */
package kelvo.desktop.review;
