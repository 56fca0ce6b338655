/**
 * What a window works on: an opened day, the scans, the trader's doing, the review, alerts; and
 * what stages and parts are. Knows no stage and no part itself.
 */
package kelvo.desktop.workspace;
