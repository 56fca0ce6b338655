package kelvo.view;

import java.util.List;
import kelvo.chart.DailyChart;
import kelvo.chart.DayScale;
import kelvo.chart.ReferenceLevels;
import kelvo.session.ReferenceLevel;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.state.SymbolState;

/** Shows the days of one security, today's running bar at the end. */
public final class DaysView implements View<DaysView.Days> {
  private final Session session;
  private final int security;

  /**
   * The days so far.
   *
   * @param references the prices that everybody looks at
   * @param scale where today's session is among the bars
   */
  public record Days(
      String symbol, DailyChart chart, List<ReferenceLevel> references, DayScale scale) {}

  /** The days of a security, by its number. */
  public DaysView(Session session, int security) {
    this.session = session;
    this.security = security;
  }

  @Override
  public Days look(Moment moment) {
    SecurityFacts facts = session.security(security);
    SymbolState state = moment.state(security);
    return new Days(
        facts.symbol(),
        DailyChart.of(facts, state, session.hours().date()),
        ReferenceLevels.of(facts, state),
        new DayScale(facts.history().bars().size()));
  }
}
