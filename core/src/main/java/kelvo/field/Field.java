package kelvo.field;

import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.state.TapeMoment;
import org.jspecify.annotations.Nullable;

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
    /** Its events, and prints that leave the last minute. */
    LAST_MINUTE,
    /** Its events, and prints that leave the last five minutes. */
    LAST_FIVE_MINUTES,
    /** Its events, and the minutes that pass since its news. */
    MINUTES,
    /** Its events, and as time passes without one it can only fall. */
    FALLING,
    /** Its events, and the clock or the rest of the market. */
    CLOCK
  }

  /** A field with a number. Flags are 1 for yes and 0 for no. */
  record Number(
      String words,
      Unit unit,
      Pace pace,
      String meaning,
      String unknownWhen,
      Binder binder,
      @Nullable TapeReading fromTape)
      implements Field {
    /** A field that only its security's state can tell. */
    public Number(
        String words, Unit unit, Pace pace, String meaning, String unknownWhen, Binder binder) {
      this(words, unit, pace, meaning, unknownWhen, binder, null);
    }

    /** What can be read from the tape at any time later; null for whatever the state keeps. */
    @Override
    public @Nullable TapeReading fromTape() {
      return fromTape;
    }

    /** The field made ready for a session. */
    public Reading bind(Session session) {
      return binder.bind(session);
    }

    /** Its words name it, and its meaning tells one formula of the trader's own from another. */
    @Override
    public boolean equals(@Nullable Object other) {
      return other instanceof Number that
          && words.equals(that.words)
          && meaning.equals(that.meaning);
    }

    @Override
    public int hashCode() {
      return words.hashCode();
    }
  }

  /** A field with a word. */
  record Word(String words, Pace pace, String meaning, String unknownWhen, WordReading reading)
      implements Field {
    /** A word that stays the same all session. */
    static Word settled(String words, String meaning, String unknownWhen, Lookup lookup) {
      return new Word(
          words,
          Pace.FIXED,
          meaning,
          unknownWhen,
          (state, now) -> lookup.of(state.market().session().security(state.id())));
    }

    @Override
    public Unit unit() {
      return Unit.WORD;
    }

    /** The word for a security at a moment; empty when unknown. */
    public String of(SymbolState state, long now) {
      return reading.at(state, now);
    }

    /** Its words name it: each field is defined once. */
    @Override
    public boolean equals(@Nullable Object other) {
      return other instanceof Word that && words.equals(that.words);
    }

    @Override
    public int hashCode() {
      return words.hashCode();
    }
  }

  /** Reads a number from a security's state. */
  @FunctionalInterface
  interface Reading {
    /** The value at a moment; NaN when unknown. */
    double at(SymbolState state, long now);
  }

  /**
   * Reads a number of the first part of a session, which stays what it is once that part is over:
   * until one of the security's prints is corrected, or an event comes later than any has so far.
   */
  interface SettlingReading extends Reading {
    /** Before this moment it is unknown, {@link kelvo.time.DayTime}. */
    long begins();

    /** Which way alone it may change until then: 1 up, -1 down. */
    int direction();

    /** Whether it stays what it is. */
    boolean isSettled(SymbolState state);
  }

  /** Reads a number from a moment of the tape. */
  @FunctionalInterface
  interface TapeReading {
    /** The value then; NaN when unknown. */
    double at(TapeMoment moment);
  }

  /** Prepares a number field for one session. */
  @FunctionalInterface
  interface Binder {
    Reading bind(Session session);
  }

  /** Reads a word from a security's state. */
  @FunctionalInterface
  interface WordReading {
    /** The word at a moment; empty when unknown. */
    String at(SymbolState state, long now);
  }

  /** Finds a word of a security. */
  @FunctionalInterface
  interface Lookup {
    String of(SecurityFacts security);
  }
}
