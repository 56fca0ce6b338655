package kelvo.desktop.workspace;

/** Takes edits that can be taken back. */
@FunctionalInterface
interface Undoable {
  /**
   * An edit was made.
   *
   * @param what it was, as it stands behind "Undone: "
   * @param symbol whose; empty for none
   * @param back takes it back
   */
  void done(String what, String symbol, Runnable back);
}
