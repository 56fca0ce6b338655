package kelvo.view;

import kelvo.chart.SecurityBars;
import kelvo.hit.MarketEngine;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.tape.EventTape;
import kelvo.state.Halts;
import kelvo.tape.Price;
import kelvo.state.PriceSource;
import kelvo.session.SecurityFacts;
import kelvo.session.SecurityKind;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.tape.TradingState;
import kelvo.state.Weather;
import kelvo.news.Themes;
import kelvo.hit.Hit;
import kelvo.scan.Matches;
import kelvo.scan.Scan;
import kelvo.explain.ScanWorkings;
import kelvo.explain.WhyEmpty;
import org.jspecify.annotations.Nullable;

/** Makes snapshots of an engine for a window. Used on the engine's thread. */
public final class SnapshotBuilder {
  private static final double LEAST_GAP_PERCENT = 2;
  private static final int THIN_TRADES = 25;
  private static final int THIN_SHARES = 5_000;

  private final Session session;
  private final double usualMovers;
  private final Field.Reading gap;
  private final Field.Reading turnover;
  private final NewsList newsList;
  private final SecurityBars bars;
  private final FocusBuilder focus;
  private @Nullable Matches matches;

  public SnapshotBuilder(Session session) {
    this.session = session;
    newsList = new NewsList(session);
    usualMovers = Weather.usualMovers(session);
    bars = new SecurityBars(session);
    focus = new FocusBuilder(session, bars);
    gap = FieldCatalogue.number("gap").bind(session);
    turnover = FieldCatalogue.number("float turnover").bind(session);
  }

  public MarketSnapshot build(MarketEngine engine, SnapshotRequest request, List<Hit> hits) {
    long now = engine.clock();
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
        focus.on(request.focus(), engine, request.checks(), hits, themes),
        request.pinned().stream()
            .flatMap(
                symbol ->
                    Stream.ofNullable(focus.on(symbol, engine, request.checks(), hits, themes)))
            .toList());
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
      if (state.status().state() != TradingState.TRADING) {
        Halts halts = Halts.of(session, i, now);
        String reason = halts.all().isEmpty() ? "" : halts.all().getLast().reason();
        halted.add(
            new MarketSnapshot.Halted(
                session.security(i).symbol(),
                state.status().state(),
                state.status().since(),
                reason));
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
                cards.add(
                    new MarketSnapshot.Card(
                        symbol,
                        state.price(),
                        FocusBuilder.changePercent(state),
                        state.volume(),
                        MarketSnapshot.Spark.of(bars.at(number, now))));
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
}
