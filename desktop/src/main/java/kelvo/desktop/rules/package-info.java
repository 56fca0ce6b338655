/**
 * Rules as they are typed, completed, pointed at and dragged. Used by the stages that edit rules.
 */
package kelvo.desktop.rules;
