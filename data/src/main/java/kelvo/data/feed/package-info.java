/**
 * The live feed, JSON text frames over a WebSocket, as docs/formats.md describes.
 *
 * <pre>
 * server -> FeedClient (JDK threads) -> FeedReader -> FeedSink (tape, recorder)
 *              ^ hole, cut, silence: asks again from the last frame
 * </pre>
 */
@NullMarked
package kelvo.data.feed;

import org.jspecify.annotations.NullMarked;
