/**
 * What the parts of a window show. Each part has a {@link kelvo.view.View} of its own that looks at
 * a {@link kelvo.view.Moment} and gives an immutable value. Adding one touches no other.
 */
package kelvo.view;
