package kelvo.view;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.news.Themes;
import kelvo.session.SecurityFacts;
import kelvo.session.SecurityKind;
import kelvo.session.Session;
import kelvo.state.PriceSource;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/** Shows the common stocks that gap, and the themes among them. */
public final class GapsView implements View<GapsView.Gaps> {
  private static final double MIN_GAP_PERCENT = 2;
  private static final int THIN_TRADES = 25;
  private static final int THIN_SHARES = 5_000;

  private final Session session;
  private final Field.Reading gap;
  private final Field.Reading turnover;

  /**
   * A dot of the gap field.
   *
   * @param percent the gap
   * @param dollarVolume since 04:00, dollars
   * @param turnover volume over float; NaN when the float is unknown
   * @param thin whether so little traded that the gap may mean nothing
   */
  public record Gap(
      int security,
      String symbol,
      String sector,
      double percent,
      double dollarVolume,
      double turnover,
      boolean thin) {}

  /**
   * Who gaps.
   *
   * @param all in the order of the securities file
   * @param themes sectors in which several of them move the same way, thin ones left out
   */
  public record Gaps(List<Gap> all, List<Themes.Theme> themes) {
    /** The theme that a symbol belongs to. */
    Optional<Themes.Theme> themeOf(String symbol) {
      return themes.stream()
          .filter(t -> t.members().stream().anyMatch(m -> m.symbol().equals(symbol)))
          .findFirst();
    }
  }

  /** The gaps of a session. */
  public GapsView(Session session) {
    this.session = session;
    gap = FieldCatalogue.number("gap").bind(session);
    turnover = FieldCatalogue.number("float turnover").bind(session);
  }

  /** Whether so little traded that a move may mean nothing. */
  static boolean isThin(SymbolState state) {
    return state.trades() < THIN_TRADES || state.volume() < THIN_SHARES;
  }

  @Override
  public Gaps look(Moment moment) {
    return moment.shared(Gaps.class, this::gaps);
  }

  private Gaps gaps(Moment moment) {
    long now = moment.now();
    List<Gap> gaps = new ArrayList<>();
    for (int i = 0; i < session.securities().size(); i++) {
      SymbolState state = moment.state(i);
      SecurityFacts facts = session.security(i);
      double percent = gap.at(state, now);
      if (facts.security().kind() == SecurityKind.COMMON_STOCK
          && state.priceSource() == PriceSource.PRINT
          && Math.abs(percent) >= MIN_GAP_PERCENT) {
        gaps.add(
            new Gap(
                i,
                facts.symbol(),
                facts.security().sector(),
                percent,
                state.dollarVolume() / (double) Price.DOLLAR,
                turnover.at(state, now),
                isThin(state)));
      }
    }
    return new Gaps(List.copyOf(gaps), themes(gaps));
  }

  private static List<Themes.Theme> themes(List<Gap> gaps) {
    return Themes.of(
        gaps.stream()
            .filter(gap -> !gap.thin())
            .map(g -> new Themes.Mover(g.symbol(), g.sector(), g.percent(), g.dollarVolume()))
            .toList());
  }
}
