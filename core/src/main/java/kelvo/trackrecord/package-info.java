/**
 * The track record: sessions that are over, reviewed and put together, and what they say of the
 * trader. Each session's own review is in {@link kelvo.review}.
 */
@NullMarked
package kelvo.trackrecord;

import org.jspecify.annotations.NullMarked;
