/** Trading on paper in a recorded session: orders, a broker that fills them, drills. */
package kelvo.practice;
