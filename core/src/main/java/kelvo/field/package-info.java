/**
 * Every field, defined once: words, unit, formula, when it is unknown. Rules, columns, tooltips and
 * hits all read these definitions. Touches the state and the session.
 */
package kelvo.field;
