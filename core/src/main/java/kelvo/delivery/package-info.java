/** The ways in which something that rings reaches the trader. Knows nothing of what rings. */
package kelvo.delivery;
