package kelvo.view;

import kelvo.chart.RecentPrints;
import kelvo.session.Session;
import kelvo.state.SymbolState;

/** Shows the newest prints of one security with the best bid and ask. */
public final class PrintsView implements View<PrintsView.PrintList> {
  private static final int PRINTS = 40;

  private final Session session;
  private final int security;

  /** Bid and ask, {@link kelvo.tape.Price} units, and the newest prints. */
  public record PrintList(long bid, long ask, RecentPrints prints) {}

  /** The prints of a security, by its number. */
  public PrintsView(Session session, int security) {
    this.session = session;
    this.security = security;
  }

  @Override
  public PrintList look(Moment moment) {
    SymbolState state = moment.state(security);
    return new PrintList(
        state.bid(), state.ask(), RecentPrints.of(session, security, moment.now(), PRINTS));
  }
}
