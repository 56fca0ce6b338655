package kelvo.view;

import java.util.List;
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
   */
  public record DayOfMinutes(
      String symbol,
      long moment,
      long price,
      double change,
      List<MinuteBar> minutes,
      List<ReferenceLevel> references,
      List<Hit> hits,
      List<Halts.Halt> halts) {}

  /** The minutes of a security, by its number. */
  public MinutesView(Session session, int security) {
    this.session = session;
    this.security = security;
    change = FieldCatalogue.number("change").bind(session);
    bars = new MinuteBars(session, security);
  }

  @Override
  public DayOfMinutes look(Moment moment) {
    if (moment.now() < lastMoment) {
      bars = new MinuteBars(session, security);
    }
    lastMoment = moment.now();
    SymbolState state = moment.state(security);
    return new DayOfMinutes(
        session.security(security).symbol(),
        moment.now(),
        state.price(),
        change.at(state, moment.now()),
        bars.advanceTo(moment.now()),
        ReferenceLevels.of(session.security(security), state),
        moment.hits().stream().filter(h -> h.security() == security).toList(),
        Halts.of(session, security, moment.now()).all());
  }
}
