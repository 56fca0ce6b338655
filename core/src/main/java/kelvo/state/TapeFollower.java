package kelvo.state;

import java.util.function.Supplier;
import kelvo.session.Session;
import kelvo.tape.Corrections;
import kelvo.tape.EventTape;
import org.jspecify.annotations.Nullable;

/**
 * Something that is made of a security's events one by one and asked for seldom: it takes the
 * events that a state has come by since it was last asked, so that a security of which nobody asks
 * costs nothing. Owned by one thread; does not allocate when asked, but for a security's first
 * time.
 */
public final class TapeFollower<T extends TapeFollower.Made> {
  /** What is made. */
  public abstract static class Made {
    /** The newest event taken, and what had become of the prints by then. */
    private int reached = EventTape.NONE;

    private Corrections corrections = Corrections.NONE;

    /** Forgets everything. */
    abstract void begin();

    /** Takes an event of the security, in the order of the tape, as it stands corrected. */
    abstract void take(int event, Corrections corrected);
  }

  private final EventTape tape;
  private final Supplier<T> make;
  private final @Nullable Object[] made;

  TapeFollower(Session session, Supplier<T> make) {
    tape = session.tape();
    this.make = make;
    made = new Object[session.securities().size()];
  }

  /** What has been made of the events that a state holds. */
  @SuppressWarnings("unchecked")
  public T of(SymbolState state) {
    int id = state.id();
    if (made[id] == null) {
      made[id] = make.get();
    }
    T known = (T) made[id];
    follow(known, state);
    return known;
  }

  private void follow(Made known, SymbolState state) {
    int last = state.lastEvent();
    Corrections corrections = state.corrections();
    if (known.reached > last || known.corrections != corrections) {
      known.begin();
      known.reached = EventTape.NONE;
      known.corrections = corrections;
    }
    while (known.reached != last) {
      known.reached =
          known.reached == EventTape.NONE
              ? tape.firstOfSymbol(state.id())
              : tape.laterOfSymbol(known.reached, last);
      known.take(known.reached, corrections);
    }
  }
}
