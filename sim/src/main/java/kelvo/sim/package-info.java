/**
 * An invented market of 2031 with planted stories, and small stand-ins for a feed, a news wire and
 * a broker, on loopback. Ships with Kelvo for its demo and its tests.
 */
package kelvo.sim;
