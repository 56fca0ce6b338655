/**
 * News items, what they are about by lists of words, and rules on them. Touches nothing but itself,
 * so that the same item is always read alike.
 */
package kelvo.news;
