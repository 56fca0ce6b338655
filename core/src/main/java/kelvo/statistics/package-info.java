/** What a sample can carry: intervals and tests that count whole sessions as one. */
@NullMarked
package kelvo.statistics;

import org.jspecify.annotations.NullMarked;
