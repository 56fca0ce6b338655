/** Scans, universes and checks as JSON files of a data folder. */
package kelvo.data.scanfile;
