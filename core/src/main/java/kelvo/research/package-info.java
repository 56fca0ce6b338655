/** What recorded sessions did after a moment: for the second curve beside a rule's bounds. */
package kelvo.research;
