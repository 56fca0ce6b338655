package kelvo.state;

import java.time.LocalDate;
import java.util.List;
import kelvo.history.DailyBar;
import kelvo.history.DailyBarList;
import kelvo.history.DailyHistory;
import kelvo.session.Security;
import kelvo.session.SecurityFacts;
import kelvo.session.SecurityKind;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.TradingState;
import kelvo.time.Phases;
import kelvo.time.SessionHours;

/** One security on a tape of its own: events are appended and applied in one go. */
public final class TapedSymbol {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);

  private final EventTape tape;
  private final SymbolState state;

  /** The only security of a session. */
  public TapedSymbol(Session session) {
    tape = session.tape();
    state = SymbolState.fresh(session, 0);
  }

  TapedSymbol(long previousClose) {
    this(session(previousClose));
  }

  private static Session session(long close) {
    Security security =
        new Security(
            "TIDARC",
            "Tidal Arc",
            "XNAS",
            SecurityKind.COMMON_STOCK,
            "",
            "",
            "",
            5e6,
            4e6,
            null,
            null,
            false);
    DailyBar yesterday = new DailyBar(DATE.minusDays(1), close, close, close, close, 1_000, 10);
    return new Session(
        SessionHours.full(DATE),
        Phases.DEFAULT,
        List.of(
            new SecurityFacts(
                security,
                DailyHistory.before(DATE, DailyBarList.of(List.of(yesterday)), List.of()),
                null,
                4e6,
                5e6)),
        List.of(),
        List.of(),
        new EventTape(1));
  }

  /** Returns the effect of a print. */
  public int trade(long at, long price, long shares, int conditions) {
    tape.trade(at, 0, price, shares, conditions);
    return applied();
  }

  /** Returns the effect of a print that can be corrected. */
  public int trade(long at, long price, long shares, int conditions, long id) {
    tape.trade(at, 0, price, shares, conditions, id);
    return applied();
  }

  /** Returns the effect of cancelling a print. */
  public int cancel(long at, long id) {
    if (!tape.cancel(at, 0, id)) {
      throw new IllegalArgumentException("no print " + id);
    }
    return applied();
  }

  /** Returns the effect of correcting a print. */
  public int correct(long at, long id, long price, long shares) {
    if (!tape.correct(at, 0, id, price, shares)) {
      throw new IllegalArgumentException("no print " + id);
    }
    return applied();
  }

  /** Returns the effect of a quote. */
  public int quote(long at, long bid, int bidShares, long ask, int askShares) {
    tape.quote(at, 0, bid, bidShares, ask, askShares);
    return applied();
  }

  /** Returns the effect of an imbalance of the next auction. */
  public int imbalance(long at, boolean buyers, long shares) {
    tape.imbalance(at, 0, buyers, 100, shares, 100_000);
    return applied();
  }

  /** Returns the effect of a change of the trading state. */
  public int status(long at, TradingState to, String reason) {
    tape.status(at, 0, to, reason);
    return applied();
  }

  private int applied() {
    return state.apply(tape.size() - 1);
  }

  /** The state. */
  public SymbolState state() {
    return state;
  }

  /** The tape. */
  public EventTape tape() {
    return tape;
  }
}
