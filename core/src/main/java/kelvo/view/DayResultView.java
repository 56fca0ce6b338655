package kelvo.view;

import java.util.List;
import kelvo.session.Session;
import kelvo.trade.CostMethod;
import kelvo.trade.Fill;
import kelvo.trade.OpenPosition;
import kelvo.trade.RoundTrips;
import kelvo.trade.Trade;

/** Shows what the day's trades have made so far, with what is held at its price of now. */
public final class DayResultView implements View<DayResultView.Result> {
  /**
   * What they have made.
   *
   * @param net dollars, fees taken off
   * @param held how many positions are open
   */
  public record Result(double net, int held) {}

  private final Session session;
  private final double closed;
  private final List<OpenPosition> open;

  /** The result of these fills, their fees in. */
  public DayResultView(Session session, List<Fill> fills, CostMethod method) {
    this.session = session;
    closed =
        RoundTrips.of(fills, method).trades().stream()
            .filter(Trade::closed)
            .mapToDouble(trade -> trade.result().doubleValue())
            .sum();
    open = OpenPosition.of(fills, method);
  }

  @Override
  public Result look(Moment moment) {
    double net = closed;
    for (OpenPosition position : open) {
      net +=
          session.numberOf(position.symbol()).stream()
              .mapToObj(moment::state)
              .mapToDouble(state -> position.result(state.price()))
              .findFirst()
              .orElse(position.realised());
    }
    return new Result(net, open.size());
  }
}
