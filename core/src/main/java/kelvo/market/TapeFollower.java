package kelvo.market;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * Something that is made of a security's events one by one and asked for seldom: it takes the
 * events that a state has come by since it was last asked, so that a security of which nobody asks
 * costs nothing. Owned by one thread; does not allocate when asked, but for a security's first
 * time.
 */
final class TapeFollower<T extends TapeFollower.Made> {
  /** What is made. */
  interface Made {
    /** Forgets everything. */
    void begin();

    /** Takes an event of the security, in the order of the tape, as it stands corrected. */
    void take(int event, Corrections corrections);
  }

  private final EventTape tape;
  private final Supplier<T> make;
  private final @Nullable Object[] made;
  private final int[] reached;

  TapeFollower(Session session, Supplier<T> make) {
    tape = session.tape();
    this.make = make;
    made = new Object[session.securities().size()];
    reached = new int[made.length];
  }

  /** What has been made of the events that a state holds. */
  @SuppressWarnings("unchecked")
  T of(SymbolState state) {
    int id = state.id();
    if (made[id] == null) {
      made[id] = make.get();
      reached[id] = EventTape.NONE;
    }
    T known = (T) made[id];
    if (reached[id] > state.lastEvent() || corrected(state, reached[id])) {
      known.begin();
      reached[id] = EventTape.NONE;
    }
    for (int event = next(state, reached[id]);
        event != EventTape.NONE;
        event = next(state, event)) {
      reached[id] = event;
      known.take(event, state.corrections());
    }
    return known;
  }

  private boolean corrected(SymbolState state, int from) {
    for (int event = from; event != EventTape.NONE; event = next(state, event)) {
      if (event != from && tape.kind(event) == EventKind.CORRECTION) {
        return true;
      }
    }
    return false;
  }

  /** The event after one, as far as the state has come. */
  private int next(SymbolState state, int event) {
    int next = event == EventTape.NONE ? tape.firstOfSymbol(state.id()) : tape.laterOfSymbol(event);
    return next > state.lastEvent() ? EventTape.NONE : next;
  }
}
