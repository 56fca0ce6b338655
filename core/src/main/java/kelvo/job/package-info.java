/**
 * Work that takes a while: how far it is, how it is stopped, and the newest answer of several
 * questions. Touches nothing else of Kelvo.
 */
package kelvo.job;
