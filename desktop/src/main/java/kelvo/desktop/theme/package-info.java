/** Colours, type and numbers as they are shown. The only place with literal colours. */
package kelvo.desktop.theme;
