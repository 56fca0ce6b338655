package kelvo.view;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.state.SymbolState;

/**
 * Shows who is meant by a part of a symbol or of a name: symbols that begin with it first, then
 * symbols and names that hold it; among equals the one that traded most.
 */
public final class FindView implements View<List<FindView.Candidate>> {
  private static final int MOST = 10;

  private final Session session;
  private final String wanted;
  private final Field.Reading change;

  /**
   * One who may be meant.
   *
   * @param price {@link kelvo.tape.Price} units
   * @param changePercent from the previous close; NaN when unknown
   */
  public record Candidate(String symbol, String name, long price, double changePercent) {}

  /** Who is meant by what was typed; nobody by nothing. */
  public FindView(Session session, String typed) {
    this.session = session;
    wanted = typed.strip().toUpperCase(Locale.ROOT);
    change = FieldCatalogue.number("change %").bind(session);
  }

  private record Found(int security, int rank, double dollars) {}

  @Override
  public List<Candidate> look(Moment moment) {
    List<Found> found = new ArrayList<>();
    for (int i = 0; i < session.securities().size() && !wanted.isEmpty(); i++) {
      int rank = rank(session.security(i));
      if (rank >= 0) {
        found.add(new Found(i, rank, moment.state(i).dollarVolume()));
      }
    }
    return found.stream()
        .sorted(
            Comparator.comparingInt(Found::rank)
                .thenComparing(Comparator.comparingDouble(Found::dollars).reversed()))
        .limit(MOST)
        .map(one -> candidate(moment.state(one.security), moment.now()))
        .toList();
  }

  /**
   * 0 for the symbol itself, 1 for its beginning, 2 for a part of it, 3 of the name; -1 for none.
   */
  private int rank(SecurityFacts facts) {
    String symbol = facts.symbol();
    if (symbol.startsWith(wanted)) {
      return symbol.length() == wanted.length() ? 0 : 1;
    }
    if (symbol.contains(wanted)) {
      return 2;
    }
    return facts.security().name().toUpperCase(Locale.ROOT).contains(wanted) ? 3 : -1;
  }

  private Candidate candidate(SymbolState state, long now) {
    SecurityFacts facts = session.security(state.id());
    return new Candidate(
        facts.symbol(), facts.security().name(), state.price(), change.at(state, now));
  }
}
