package kelvo.journal;

/**
 * What a remark is about.
 *
 * @param kind of what kind it is
 * @param symbol empty for the session
 * @param account of a trade; else empty
 * @param at when the trade was entered or the move's first hit came, {@link kelvo.time.DayTime}; 0
 *     for the session
 */
public record Subject(Kind kind, String symbol, String account, long at) {
  /** The kinds. */
  public enum Kind {
    SESSION,
    TRADE,
    MOVE
  }

  /** The whole session. */
  public static final Subject SESSION = new Subject(Kind.SESSION, "", "", 0);

  /** A trade, known by its account, its symbol and its entry. */
  public static Subject trade(String account, String symbol, long entryAt) {
    return new Subject(Kind.TRADE, symbol, account, entryAt);
  }

  /** A move, known by its symbol and its first hit. */
  public static Subject move(String symbol, long start) {
    return new Subject(Kind.MOVE, symbol, "", start);
  }
}
