/** Parts in windows of their own, a set for each phase of the day. */
package kelvo.desktop.windows;
