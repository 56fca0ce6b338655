/** The Live stage: halts, the stream of hits, cards of the Ten. */
package kelvo.desktop.live;
