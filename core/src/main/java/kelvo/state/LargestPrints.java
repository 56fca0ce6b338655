package kelvo.state;

import kelvo.session.Session;
import kelvo.tape.Price;

/** The largest prints of a session's securities so far. Owned by one thread. */
public final class LargestPrints {
  private final TapeFollower<LargestPrint> largest;

  /** Nothing is known yet. */
  public LargestPrints(Session session) {
    largest = new TapeFollower<>(session, () -> new LargestPrint(session.tape()));
  }

  /** The most shares of one print; 0 before the first. */
  public long shares(SymbolState state) {
    return largest.of(state).shares();
  }

  /** The most money of one print, {@link Price} units. */
  public long money(SymbolState state) {
    return largest.of(state).money();
  }
}
