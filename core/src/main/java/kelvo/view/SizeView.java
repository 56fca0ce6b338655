package kelvo.view;

import java.util.Optional;
import kelvo.state.SymbolState;
import kelvo.tape.Price;
import kelvo.trade.Fees;
import kelvo.trade.PositionSize;

/** Shows how many shares of one security a trade from its price now to a stop may have. */
public final class SizeView implements View<Optional<SizeView.Size>> {
  private final int security;
  private final long stop;
  private final double risk;
  private final Fees fees;

  /**
   * A size at a moment.
   *
   * @param entry the price it is reckoned from, {@link Price} units
   */
  public record Size(long entry, long stop, PositionSize position) {}

  /**
   * The size of a trade.
   *
   * @param security its number
   * @param stop {@link Price} units
   * @param risk dollars that may be lost
   */
  public SizeView(int security, long stop, double risk, Fees fees) {
    this.security = security;
    this.stop = stop;
    this.risk = risk;
    this.fees = fees;
  }

  @Override
  public Optional<Size> look(Moment moment) {
    SymbolState state = moment.state(security);
    long price = state.price();
    if (price == Price.NONE) {
      return Optional.empty();
    }
    boolean quoted = state.bid() > 0 && state.ask() > state.bid();
    long spread = quoted ? state.ask() - state.bid() : 0;
    return Optional.of(new Size(price, stop, PositionSize.of(risk, price, stop, spread, fees)));
  }
}
