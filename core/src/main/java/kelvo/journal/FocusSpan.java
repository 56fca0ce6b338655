package kelvo.journal;

/** A stretch of the session during which a symbol was in focus: the one that every part showed. */
public record FocusSpan(String symbol, long from, long to) {}
