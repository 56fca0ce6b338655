/**
 * Prices set by hand on a security, and how its price has stood to them: passing, touching, coming
 * back.
 */
package kelvo.level;
