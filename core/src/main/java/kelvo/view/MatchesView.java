package kelvo.view;

import java.util.List;
import kelvo.chart.Spark;
import kelvo.chart.Sparks;
import kelvo.explain.WhyEmpty;
import kelvo.scan.Matches;
import kelvo.scan.Scan;
import kelvo.session.Session;
import org.jspecify.annotations.Nullable;

/** Shows who fits a scan. */
public final class MatchesView implements View<MatchesView.MatchList> {
  private final Session session;
  private final Scan scan;
  private final Matches matches;
  private final Sparks sparks;
  private final WhyItMoves why;

  /**
   * One of those who fit.
   *
   * @param spark its day so far
   * @param why why it moves
   */
  public record Listed(Matches.Row match, Spark spark, WhyItMoves.Reason why) {}

  /**
   * Who fits a scan at a moment.
   *
   * @param scan what was asked
   * @param rows those who fit, at most the scan's limit, in its order
   * @param fitting how many fit in all
   * @param whyEmpty the answer when nobody does; null otherwise
   */
  public record MatchList(Scan scan, List<Listed> rows, int fitting, @Nullable WhyEmpty whyEmpty) {}

  /** The matches of one scan. */
  public MatchesView(Session session, Scan scan) {
    this.session = session;
    this.scan = scan;
    matches = new Matches(scan, session);
    sparks = new Sparks(session);
    why = new WhyItMoves(session);
  }

  private Listed listed(Matches.Row row, Moment moment) {
    return new Listed(
        row, sparks.at(moment.state(row.security()), moment.now()), why.of(row.security(), moment));
  }

  @Override
  public MatchList look(Moment moment) {
    List<Matches.Row> rows = matches.at(moment::state, moment.now());
    return new MatchList(
        scan,
        rows.stream().limit(scan.limit()).map(row -> listed(row, moment)).toList(),
        rows.size(),
        rows.isEmpty() ? WhyEmpty.of(session, scan, moment::state, moment.now()) : null);
  }
}
