package kelvo.view;

import java.util.List;
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

  /**
   * Who fits a scan at a moment.
   *
   * @param scan what was asked
   * @param rows those who fit, at most the scan's limit, in its order
   * @param fitting how many fit in all
   * @param whyEmpty the answer when nobody does; null otherwise
   */
  public record MatchList(
      Scan scan, List<Matches.Row> rows, int fitting, @Nullable WhyEmpty whyEmpty) {}

  /** The matches of one scan. */
  public MatchesView(Session session, Scan scan) {
    this.session = session;
    this.scan = scan;
    matches = new Matches(scan, session);
  }

  @Override
  public MatchList look(Moment moment) {
    List<Matches.Row> rows = matches.at(moment::state, moment.now());
    return new MatchList(
        scan,
        List.copyOf(rows.subList(0, Math.min(rows.size(), scan.limit()))),
        rows.size(),
        rows.isEmpty() ? WhyEmpty.of(session, scan, moment::state, moment.now()) : null);
  }
}
