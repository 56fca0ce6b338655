/**
 * Rules as people write them, and their evaluation: a sentence becomes a {@link kelvo.rule.Rule},
 * which is asked of {@link kelvo.rule.Values}, be they of a live state or of a recorded moment.
 */
package kelvo.rule;
