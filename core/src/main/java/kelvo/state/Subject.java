package kelvo.state;

/**
 * A security at a moment, of which fields may be asked: its live state, or what is known of it at a
 * recorded moment.
 */
public interface Subject {
  /** The number of the security in its session's list. */
  int id();
}
