package kelvo.view;

import kelvo.chart.ReferenceLevels;

import kelvo.chart.SecurityBars;
import kelvo.hit.MarketEngine;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.chart.DailyChart;
import kelvo.state.Halts;
import kelvo.tape.Price;
import kelvo.chart.RecentPrints;
import kelvo.session.ReferenceLevel;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.news.Catalyst;
import kelvo.news.Themes;
import kelvo.hit.Hit;
import kelvo.check.Check;
import kelvo.check.CheckRule;
import kelvo.check.Checks;
import org.jspecify.annotations.Nullable;

/** Gathers all that the parts of a window show of one symbol. Used on the engine's thread. */
final class FocusBuilder {
  private static final int PRINTS = 40;
  private static final List<String> FACTS =
      List.of(
          "gap",
          "volume",
          "volume 5m",
          "dollar volume",
          "trades",
          "avg volume 20d",
          "float",
          "float turnover",
          "spread %",
          "vwap",
          "distance from vwap",
          "premarket high",
          "day high",
          "day low",
          "ema 10d",
          "ema 50d",
          "ema 200d",
          "stack",
          "atr 14d",
          "prior-day change %",
          "minutes since news",
          "previous close");

  private final Session session;
  private final SecurityBars bars;
  private final List<Field.Number> factFields = FACTS.stream().map(FieldCatalogue::number).toList();
  private final List<Field.Reading> factReadings;
  private Checks checks;

  FocusBuilder(Session session, SecurityBars bars) {
    this.session = session;
    this.bars = bars;
    factReadings = factFields.stream().map(f -> f.bind(session)).toList();
    checks = new Checks(session, CheckRule.USUAL);
  }

  /**
   * A symbol as it is now; null when the session does not have it.
   *
   * @param rules what the checks ask
   * @param hits all hits so far
   * @param themes what moves together now
   */
  MarketSnapshot.@Nullable Focus on(
      String symbol,
      MarketEngine engine,
      List<CheckRule> rules,
      List<Hit> hits,
      List<Themes.Theme> themes) {
    OptionalInt number = session.numberOf(symbol);
    if (number.isEmpty()) {
      return null;
    }
    if (!checks.rules().equals(rules)) {
      checks = new Checks(session, rules);
    }
    long now = engine.clock();
    int security = number.getAsInt();
    SymbolState state = engine.state(security);
    SecurityFacts facts = session.security(security);
    return new MarketSnapshot.Focus(
        security,
        facts,
        state.price(),
        state.priceSource().words(),
        Price.dollars(state.price()) - Price.dollars(state.previousClose()),
        changePercent(state),
        state.bid(),
        state.ask(),
        facts(state, now),
        checks(state, themes, now),
        bars.at(security, now),
        ReferenceLevels.of(facts, state),
        DailyChart.of(facts, state, session.hours().date()),
        RecentPrints.of(session, security, now, PRINTS),
        news(symbol, now),
        hits.stream().filter(h -> h.security() == security).toList(),
        Halts.of(session, security, now),
        facts.recentSplit() != null);
  }

  /** The trader's checks, and whether the symbol moves with others of its sector. */
  private List<Check> checks(SymbolState state, List<Themes.Theme> themes, long now) {
    List<Check> all = new ArrayList<>(checks.of(state, now));
    String symbol = session.security(state.id()).symbol();
    String theme =
        themes.stream()
            .filter(t -> t.members().stream().anyMatch(m -> m.symbol().equals(symbol)))
            .findFirst()
            .map(t -> t.sector() + ", led by " + t.members().getFirst().symbol())
            .orElse("");
    all.add(
        theme.isEmpty()
            ? new Check("theme", Check.Result.WARN, "none")
            : new Check("theme", Check.Result.PASS, theme));
    return all;
  }

  private List<MarketSnapshot.Fact> facts(SymbolState state, long now) {
    List<MarketSnapshot.Fact> facts = new ArrayList<>();
    for (int i = 0; i < factFields.size(); i++) {
      Field.Number field = factFields.get(i);
      String value = field.unit().text(factReadings.get(i).at(state, now));
      facts.add(
          new MarketSnapshot.Fact(
              field.words(),
              value.isEmpty() ? value : field.unit().withSign(value),
              field.meaning()));
    }
    return facts;
  }

  private List<Catalyst> news(String symbol, long now) {
    return session.catalysts().stream()
        .filter(c -> c.known() <= now && c.symbols().contains(symbol))
        .toList()
        .reversed();
  }

  /** Per cent from the previous close; NaN when that is unknown. */
  static double changePercent(SymbolState state) {
    return state.previousClose() == Price.NONE
        ? Double.NaN
        : 100.0 * (state.price() - state.previousClose()) / state.previousClose();
  }
}
