package kelvo.view;

import java.util.List;
import kelvo.news.Catalyst;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;

/** Shows the news that names one security. */
public final class SymbolNewsView implements View<SymbolNewsView.SymbolNews> {
  private final SecurityFacts facts;

  /** The items so far that name a security, newest first. */
  public record SymbolNews(SecurityFacts facts, List<Catalyst> items) {}

  /** The news of a security, by its number. */
  public SymbolNewsView(Session session, int security) {
    facts = session.security(security);
  }

  @Override
  public SymbolNews look(Moment moment) {
    return new SymbolNews(
        facts,
        moment.session().catalysts().stream()
            .filter(c -> c.known() <= moment.now() && c.symbols().contains(facts.symbol()))
            .toList()
            .reversed());
  }
}
