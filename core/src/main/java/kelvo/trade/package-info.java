/** Fills and the round trips made of them. Touches prices only. */
package kelvo.trade;
