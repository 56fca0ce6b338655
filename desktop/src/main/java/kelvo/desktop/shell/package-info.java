/**
 * The frame on top, which alone knows all stages and parts ({@link kelvo.desktop.shell.Stages},
 * {@link kelvo.desktop.shell.Parts}): day rail, keys, status line, opening and closing. Nobody in
 * this module imports it.
 */
package kelvo.desktop.shell;
