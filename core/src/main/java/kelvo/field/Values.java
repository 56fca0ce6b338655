package kelvo.field;

import kelvo.state.Subject;
import kelvo.time.Phases;

/**
 * Where the values of fields come from. Rules, scans and universes are evaluated over it, whatever
 * the source: {@link StateValues} reads them from live states, a recorded moment has them in store.
 * Reading allocates nothing.
 */
public interface Values {
  /** The phases of the day. */
  Phases phases();

  /** How many securities there are. */
  int size();

  /** The ticker of a security, by its number. */
  String symbol(int security);

  /** Stands for a security where only what cannot change during a session is asked. */
  Subject settled(int security);

  /** What reads a field that is a number. */
  Numbers numbers(Field.Number field);

  /** What reads a field that is a word. */
  Words words(Field.Word field);

  /** The same values for a question that is asked once of many securities, one after another. */
  default Values alone() {
    return this;
  }

  /** Reads one field that is a number. */
  @FunctionalInterface
  interface Numbers {
    /** The value at a moment; NaN when unknown. */
    double of(Subject subject, long now);
  }

  /** Reads one field that is a word. */
  @FunctionalInterface
  interface Words {
    /** The word at a moment; empty when unknown. */
    String of(Subject subject, long now);
  }
}
