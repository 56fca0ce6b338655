/** Several sessions reviewed together: the calendar, and pictures of what they brought. */
@org.jspecify.annotations.NullMarked
package kelvo.desktop.trackrecord;
