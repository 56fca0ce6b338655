package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/**
 * The open is known and lies so far from the previous close; once more when the official open is
 * another than the first print.
 */
final class OpeningGap extends RememberingDetector implements OnceDetector {
  private final double percent;
  private final int direction;

  OpeningGap(Session session, double percent, int direction) {
    super(session, Effect.OPENED, 0);
    this.percent = percent;
    this.direction = direction;
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    return holds(state, now);
  }

  @Override
  public boolean holds(SymbolState state, long now) {
    return gapped(state, percent, direction);
  }

  static boolean gapped(SymbolState state, double percent, int direction) {
    long close = state.previousClose();
    return close != Price.NONE
        && state.open() != Price.NONE
        && direction * 100.0 * (state.open() - close) >= percent * close;
  }
}
