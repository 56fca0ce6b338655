/** Reads and plays sessions that are over, for the track record and for what-if over many. */
@NullMarked
package kelvo.data.past;

import org.jspecify.annotations.NullMarked;
