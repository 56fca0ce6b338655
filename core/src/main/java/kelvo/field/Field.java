package kelvo.field;

import kelvo.market.SecurityFacts;
import kelvo.market.Session;
import kelvo.market.SymbolState;

/**
 * A number, flag or word about a security at a moment, defined once: the rule language, columns,
 * tooltips and hits all read this definition.
 */
public sealed interface Field {
  /** The words by which rules and columns name it. */
  String words();

  /** The formula in one sentence. */
  String meaning();

  /** When its value is unknown. */
  String unknownWhen();

  /** What it counts. */
  Unit unit();

  /** What makes its value change during a session. */
  Pace pace();

  /** What makes a value change during a session. */
  enum Pace {
    /** Nothing: it is known before the session. */
    FIXED,
    /** Its prints, and until the first of them its quotes, since they give the price. */
    EVENTS,
    /** Its prints and its quotes. */
    QUOTES,
    /** Its events, and events that leave a sliding window. */
    WINDOW,
    /** Its events, and the minutes that pass. */
    MINUTES
  }

  /** A field with a number. Flags are 1 for yes and 0 for no. */
  record Number(
      String words, Unit unit, Pace pace, String meaning, String unknownWhen, Binder binder)
      implements Field {
    /** The field made ready for a session. */
    public Reading bind(Session session) {
      return binder.bind(session);
    }
  }

  /** A field with a word, the same all session. */
  record Word(String words, String meaning, String unknownWhen, Lookup lookup) implements Field {
    @Override
    public Unit unit() {
      return Unit.WORD;
    }

    @Override
    public Pace pace() {
      return Pace.FIXED;
    }

    /** The word for a security; empty when unknown. */
    public String of(SecurityFacts security) {
      return lookup.of(security);
    }
  }

  /** Reads a number from a security's state. */
  @FunctionalInterface
  interface Reading {
    /** The value at a moment; NaN when unknown. */
    double at(SymbolState state, long now);
  }

  /** Prepares a number field for one session. */
  @FunctionalInterface
  interface Binder {
    Reading bind(Session session);
  }

  /** Finds a word of a security. */
  @FunctionalInterface
  interface Lookup {
    String of(SecurityFacts security);
  }
}
