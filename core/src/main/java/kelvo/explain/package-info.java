/**
 * Answers about scans: why a list is empty, why a symbol is not on it, how many would be left at
 * every bound, which rules contradict each other, who fell out since the first look.
 */
package kelvo.explain;
