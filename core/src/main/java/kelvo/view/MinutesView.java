package kelvo.view;

import java.util.List;
import kelvo.chart.Block;
import kelvo.chart.MinuteBars;
import kelvo.chart.ReferenceLevels;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.history.MinuteBar;
import kelvo.hit.Hit;
import kelvo.session.ReferenceLevel;
import kelvo.session.Session;
import kelvo.state.Halts;
import kelvo.state.SymbolState;

/** Shows the day of one security minute by minute, with what stands on its chart. */
public final class MinutesView implements View<MinutesView.DayOfMinutes> {
  private final Session session;
  private final int security;
  private final double blocksFrom;
  private final Field.Reading change;
  private MinuteBars bars;
  private long lastMoment = -1;

  /**
   * The day so far.
   *
   * @param moment {@link kelvo.time.DayTime}
   * @param price {@link kelvo.tape.Price} units
   * @param change from the previous close, dollars; NaN when unknown
   * @param minutes oldest first
   * @param references the prices that everybody looks at
   * @param hits those of the security so far, oldest first
   * @param halts its halts so far
   * @param blocks prints of much money at once, oldest first
   */
  public record DayOfMinutes(
      String symbol,
      long moment,
      long price,
      double change,
      List<MinuteBar> minutes,
      List<ReferenceLevel> references,
      List<Hit> hits,
      List<Halts.Halt> halts,
      List<Block> blocks) {}

  /**
   * The minutes of a security, by its number.
   *
   * @param blocksFrom from how many dollars on a print is a block
   */
  public MinutesView(Session session, int security, double blocksFrom) {
    this.session = session;
    this.security = security;
    this.blocksFrom = blocksFrom;
    change = FieldCatalogue.number("change").bind(session);
    bars = new MinuteBars(session, security, blocksFrom);
  }

  @Override
  public DayOfMinutes look(Moment moment) {
    if (moment.now() < lastMoment) {
      bars = new MinuteBars(session, security, blocksFrom);
    }
    lastMoment = moment.now();
    SymbolState state = moment.state(security);
    List<MinuteBar> minutes = bars.advanceTo(moment.now());
    return new DayOfMinutes(
        session.security(security).symbol(),
        moment.now(),
        state.price(),
        change.at(state, moment.now()),
        minutes,
        ReferenceLevels.of(session.security(security), state),
        moment.hits().stream().filter(h -> h.security() == security).toList(),
        Halts.of(session, security, moment.now()).all(),
        bars.blocks());
  }
}
