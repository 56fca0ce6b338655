package kelvo.state;

import java.util.ArrayList;
import java.util.List;
import kelvo.tape.Corrections;

/**
 * Moments from which one security can be played on when a later print of it is corrected, each with
 * what the listeners remembered then. They are made while it is played again, so that a security
 * without corrections has none. Owned by the market's thread.
 */
final class SecurityCheckpoints {
  /** A correction of a new print plays about so many events again, in well under a millisecond. */
  static final int EVENTS_BETWEEN = 2_048;

  private record Checkpoint(SymbolState state, List<Object> remembered) {}

  /** By their events, the first one first. */
  private final List<Checkpoint> kept = new ArrayList<>();

  /**
   * The state at the last checkpoint that holds with what has become of the prints since, or the
   * one before the first event; the listeners are told where to go on. Checkpoints that do not hold
   * are dropped, also those of a later moment from which somebody has gone back.
   *
   * @param event the correction because of which it is played again
   */
  SymbolState goOn(
      SymbolState unplayed, int event, Corrections corrections, List<CorrectionListener> hearing) {
    while (!kept.isEmpty()) {
      Checkpoint last = kept.getLast();
      int played = last.state().lastEvent();
      if (played < event && corrections.areSameUpTo(played, last.state().corrections())) {
        for (int i = 0; i < hearing.size(); i++) {
          hearing.get(i).goesOn(unplayed.id(), last.remembered().get(i));
        }
        return last.state().copy();
      }
      kept.removeLast();
    }
    hearing.forEach(one -> one.begins(unplayed.id()));
    return unplayed;
  }

  /** Keeps the state as it has been played so far, with what the listeners remember of it. */
  void add(SymbolState played, List<CorrectionListener> hearing) {
    kept.add(
        new Checkpoint(
            played.copy(), hearing.stream().map(one -> one.remembered(played.id())).toList()));
  }
}
