/** Fields of the trader's own: arithmetic over fields, read from a formula. */
@NullMarked
package kelvo.formula;

import org.jspecify.annotations.NullMarked;
