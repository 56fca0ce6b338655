/** The Morning stage: gap field, triage, the scan editor, the wall, the second look, the Ten. */
package kelvo.desktop.morning;
