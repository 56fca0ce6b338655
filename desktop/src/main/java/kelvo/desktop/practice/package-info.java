/** Trading on paper in a recorded session. */
package kelvo.desktop.practice;
