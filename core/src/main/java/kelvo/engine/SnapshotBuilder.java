package kelvo.engine;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.market.DailyChart;
import kelvo.market.EventTape;
import kelvo.market.Halts;
import kelvo.market.MinuteBar;
import kelvo.market.MinuteBars;
import kelvo.market.Price;
import kelvo.market.PriceSource;
import kelvo.market.RecentPrints;
import kelvo.market.ReferenceLevel;
import kelvo.market.SecurityFacts;
import kelvo.market.SecurityKind;
import kelvo.market.Session;
import kelvo.market.SymbolState;
import kelvo.market.TradingState;
import kelvo.market.Weather;
import kelvo.news.Catalyst;
import kelvo.news.Themes;
import kelvo.scan.Hit;
import kelvo.scan.Matches;
import kelvo.scan.Scan;
import kelvo.scan.ScanWorkings;
import kelvo.scan.WhyEmpty;
import kelvo.watch.Check;
import kelvo.watch.CheckRule;
import kelvo.watch.Checks;
import org.jspecify.annotations.Nullable;

/** Makes snapshots of an engine for a window. Used on the engine's thread. */
final class SnapshotBuilder {
  private static final double LEAST_GAP_PERCENT = 2;
  private static final int THIN_TRADES = 25;
  private static final int THIN_SHARES = 5_000;
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
  private final double usualMovers;
  private final List<Field.Number> factFields;
  private final List<Field.Reading> factReadings;
  private final Field.Reading gap;
  private final Field.Reading turnover;
  private final NewsList newsList;
  private final Map<Integer, MinuteBars> minuteBars = new HashMap<>();
  private long lastMoment = -1;
  private @Nullable Matches matches;
  private Checks checks;

  SnapshotBuilder(Session session) {
    this.session = session;
    newsList = new NewsList(session);
    usualMovers = Weather.usualMovers(session);
    checks = new Checks(session, CheckRule.USUAL);
    factFields = FACTS.stream().map(FieldCatalogue::number).toList();
    factReadings = factFields.stream().map(f -> f.bind(session)).toList();
    gap = FieldCatalogue.number("gap").bind(session);
    turnover = FieldCatalogue.number("float turnover").bind(session);
  }

  MarketSnapshot build(MarketEngine engine, SnapshotRequest request, List<Hit> hits) {
    long now = engine.clock();
    if (now < lastMoment) {
      minuteBars.clear();
    }
    lastMoment = now;
    if (!checks.rules().equals(request.checks())) {
      checks = new Checks(session, request.checks());
    }
    List<MarketSnapshot.Gap> gaps = gaps(engine, now);
    List<Themes.Theme> themes = themes(gaps);
    List<Matches.Row> rows = matchesOf(request.scan()).at(engine::state, now);
    return new MarketSnapshot(
        now,
        engine.events(),
        request.scan(),
        List.copyOf(rows.subList(0, Math.min(rows.size(), request.scan().limit()))),
        rows.size(),
        rows.isEmpty() ? WhyEmpty.of(session, request.scan(), engine::state, now) : null,
        workings(engine, request, now),
        gaps,
        themes,
        hits,
        halts(engine, now),
        haltsBegun(engine.events()),
        Weather.of(session, engine::state, now, usualMovers),
        cards(engine, request.followed(), now),
        request.wall() ? wall(engine, gaps, themes, now) : List.of(),
        newsList.at(engine, request.news()),
        focus(engine, request.focus(), hits, themes, now));
  }

  private @Nullable ScanWorkings workings(MarketEngine engine, SnapshotRequest request, long now) {
    return request.worked().isEmpty()
        ? null
        : ScanWorkings.of(
            session,
            request.scan(),
            request.worked().getAsInt(),
            session.numberOf(request.focus()),
            engine::state,
            now);
  }

  private Matches matchesOf(Scan scan) {
    Matches prepared = matches;
    if (prepared == null || !prepared.scan().equals(scan)) {
      prepared = new Matches(scan, session);
      matches = prepared;
    }
    return prepared;
  }

  private List<MarketSnapshot.Gap> gaps(MarketEngine engine, long now) {
    List<MarketSnapshot.Gap> gaps = new ArrayList<>();
    for (int i = 0; i < session.securities().size(); i++) {
      SymbolState state = engine.state(i);
      SecurityFacts facts = session.security(i);
      double percent = gap.at(state, now);
      if (facts.security().kind() == SecurityKind.COMMON_STOCK
          && state.priceSource() == PriceSource.PRINT
          && Math.abs(percent) >= LEAST_GAP_PERCENT) {
        boolean thin = state.trades() < THIN_TRADES || state.volume() < THIN_SHARES;
        gaps.add(
            new MarketSnapshot.Gap(
                i,
                facts.symbol(),
                facts.security().sector(),
                percent,
                state.dollarVolume() / (double) Price.DOLLAR,
                turnover.at(state, now),
                thin));
      }
    }
    return gaps;
  }

  private static List<Themes.Theme> themes(List<MarketSnapshot.Gap> gaps) {
    return Themes.of(
        gaps.stream()
            .filter(gap -> !gap.thin())
            .map(g -> new Themes.Mover(g.symbol(), g.sector(), g.percent(), g.dollarVolume()))
            .toList());
  }

  private List<MarketSnapshot.Halted> halts(MarketEngine engine, long now) {
    List<MarketSnapshot.Halted> halted = new ArrayList<>();
    for (int i = 0; i < session.securities().size(); i++) {
      SymbolState state = engine.state(i);
      if (state.tradingState() != TradingState.TRADING) {
        Halts halts = Halts.of(session, i, now);
        String reason = halts.all().isEmpty() ? "" : halts.all().getLast().reason();
        halted.add(
            new MarketSnapshot.Halted(
                session.security(i).symbol(), state.tradingState(), state.stateSince(), reason));
      }
    }
    return halted;
  }

  private List<Long> haltsBegun(int events) {
    EventTape tape = session.tape();
    return Arrays.stream(tape.statusEvents(events))
        .filter(event -> tape.state(event) == TradingState.HALTED)
        .mapToObj(tape::time)
        .toList();
  }

  private List<MarketSnapshot.Card> cards(MarketEngine engine, List<String> symbols, long now) {
    List<MarketSnapshot.Card> cards = new ArrayList<>();
    for (String symbol : symbols) {
      session
          .numberOf(symbol)
          .ifPresent(
              number -> {
                SymbolState state = engine.state(number);
                double[] spark =
                    minutes(number, now).stream()
                        .mapToDouble(b -> Price.dollars(b.close()))
                        .toArray();
                cards.add(
                    new MarketSnapshot.Card(
                        symbol, state.price(), changePercent(state), state.volume(), spark));
              });
    }
    return cards;
  }

  private List<MarketSnapshot.Tile> wall(
      MarketEngine engine, List<MarketSnapshot.Gap> gaps, List<Themes.Theme> themes, long now) {
    Map<String, String> groups = MoversWall.of(gaps, themes);
    return cards(engine, List.copyOf(groups.keySet()), now).stream()
        .map(card -> new MarketSnapshot.Tile(card, groups.getOrDefault(card.symbol(), "")))
        .toList();
  }

  private List<MinuteBar> minutes(int security, long now) {
    return minuteBars.computeIfAbsent(security, s -> new MinuteBars(session, s)).advanceTo(now);
  }

  private static double changePercent(SymbolState state) {
    return state.previousClose() == Price.NONE
        ? Double.NaN
        : 100.0 * (state.price() - state.previousClose()) / state.previousClose();
  }

  private MarketSnapshot.@Nullable Focus focus(
      MarketEngine engine, String symbol, List<Hit> hits, List<Themes.Theme> themes, long now) {
    OptionalInt number = session.numberOf(symbol);
    if (number.isEmpty()) {
      return null;
    }
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
        minutes(security, now),
        ReferenceLevel.of(facts, state),
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
}
