package kelvo.state;

/**
 * Follows every security's events as they stand corrected: when a print is cancelled or corrected,
 * it sees the events of that security again, from some earlier moment on.
 */
public interface CorrectionListener extends SymbolState.Replayed {
  /** A security is about to be played again from its first event on. */
  void begins(int security);

  /** A security is about to be played again from where something was remembered on. */
  void goesOn(int security, Object remembered);

  /** What must be known of a security, as it has been played so far, to go on from here. */
  Object remembered(int security);
}
