package kelvo.tape;

/** The kinds of recorded events, in the order in which events of the same time are applied. */
public enum EventKind {
  STATUS,
  CORRECTION,
  QUOTE,
  TRADE,
  IMBALANCE,
  MENTION,
  NEWS;

  private static final EventKind[] ALL = values();

  /** The kind with an ordinal. */
  static EventKind of(int ordinal) {
    return ALL[ordinal];
  }
}
