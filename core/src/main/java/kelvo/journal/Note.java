package kelvo.journal;

/** A note on a symbol, written at a moment of the session. */
public record Note(String symbol, long at, String text) {}
