package kelvo.journal;

import java.util.Locale;

/** What the trader decided about a symbol in the morning. */
public enum Choice {
  KEEP,
  WATCH,
  DROP,
  /** The decision before was taken back. */
  UNDECIDED;

  /** The word on screen. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
