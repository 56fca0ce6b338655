/** How an alert is shown and heard. What alerts is decided in {@code kelvo.alert}. */
package kelvo.desktop.alert;
