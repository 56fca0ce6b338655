/** The trader's settings as a file, and the folders that were opened. */
package kelvo.data.setting;
