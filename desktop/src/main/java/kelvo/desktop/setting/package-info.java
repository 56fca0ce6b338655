/** The page of all settings. */
package kelvo.desktop.setting;
