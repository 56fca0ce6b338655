/**
 * A session's hits held against the trades really taken: moves, verdicts, outcomes, what each scan
 * brought. Definitions are in docs/guide.md.
 */
package kelvo.review;
