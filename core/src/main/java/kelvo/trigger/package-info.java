/**
 * Events that a scan can wait for, each with its words and what detects it. Touches fields, rules
 * for their amounts, and the state.
 */
package kelvo.trigger;
