/**
 * What Kelvo refuses, in a sentence for whoever asked for it. Everything else that is thrown is an
 * error inside Kelvo. Touches nothing else of Kelvo.
 */
package kelvo.refusal;
