package kelvo.market;

import java.time.LocalDate;
import kelvo.time.SessionHours;

/** One security on a tape of its own: events are appended and applied in one go. */
public final class TapedSymbol {
  private final EventTape tape;
  private final SymbolState state;

  /** The only security of a session. */
  public TapedSymbol(Session session) {
    tape = session.tape();
    state = session.freshState(0);
  }

  TapedSymbol(long previousClose) {
    tape = new EventTape(1);
    state = new SymbolState(0, SessionHours.full(LocalDate.of(2031, 3, 12)), previousClose, tape);
  }

  /** Returns the effect of a print. */
  public int trade(long at, long price, long shares, int conditions) {
    tape.trade(at, 0, price, shares, conditions);
    return state.apply(tape, tape.size() - 1);
  }

  /** Returns the effect of a quote. */
  public int quote(long at, long bid, int bidShares, long ask, int askShares) {
    tape.quote(at, 0, bid, bidShares, ask, askShares);
    return state.apply(tape, tape.size() - 1);
  }

  /** Returns the effect of a change of the trading state. */
  public int status(long at, TradingState to) {
    tape.status(at, 0, to, "");
    return state.apply(tape, tape.size() - 1);
  }

  /** The state. */
  public SymbolState state() {
    return state;
  }
}
