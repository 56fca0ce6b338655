/**
 * What rings, when and how: a policy that windows only carry out. May touch hits and watchlists;
 * never the wall clock, which it is told.
 */
package kelvo.alert;
