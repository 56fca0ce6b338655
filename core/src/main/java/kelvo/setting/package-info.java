/**
 * What the trader may set: each setting with its sentence, its default and what is allowed, and
 * what follows from the values, such as phases and the numbers of the review.
 */
package kelvo.setting;
