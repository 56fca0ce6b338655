package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import kelvo.alert.AlertBook;
import kelvo.alert.AlertLimits;
import kelvo.alert.AttentionOverDay;
import kelvo.check.CheckRule;
import kelvo.field.FieldCatalogue;
import kelvo.field.FieldValues;
import kelvo.hit.Program;
import kelvo.hit.RandomSessions;
import kelvo.hit.TapeCopy;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.journal.Choice;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.player.SessionRun;
import kelvo.practice.Instruction;
import kelvo.practice.PaperOrder;
import kelvo.practice.Terms;
import kelvo.replay.TapeReplay;
import kelvo.research.UsualSpreads;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trade.BuyingPower;
import kelvo.trade.CostMethod;
import kelvo.trade.Fees;
import kelvo.trade.TestFills;
import kelvo.trigger.Trigger;
import kelvo.watchlist.Watchlist;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;
import net.jqwik.api.constraints.LongRange;

/**
 * No screen looks ahead: of a session that was cut at a moment each shows what it shows of the
 * whole session at that moment.
 */
class CutSessionProperties {
  private static final int SECURITIES = 6;
  private static final int EVENTS = 40_000;
  private static final Scan BUSY =
      TestSessions.scan("busy", List.of(Trigger.ENTERS, Trigger.LEAVES), "volume 5m at least 300K");
  private static final Scan HIGHS =
      TestSessions.scan("highs", List.of(Trigger.NEW_HIGH_OF_SESSION), "trades at least 100");
  private static final List<Scan> SCANS = List.of(BUSY, HIGHS);
  private static final DayBook BOOK =
      DayBook.EMPTY.with(
          new Decision("BBBBBB", DayTime.of(7, 0), Choice.KEEP, "", Side.UP, "", ""));
  private static final List<Instruction> INSTRUCTIONS =
      List.of(
          new Instruction.Place(
              DayTime.of(6, 0),
              new PaperOrder(
                  1, "AAAAAA", 1, 900, new Terms.Market(), new PaperOrder.Exits(90_000, 110_000))),
          new Instruction.Place(
              DayTime.of(14, 0), new PaperOrder(2, "BBBBBB", -1, 400, new Terms.Limit(100_400))));

  /** Every view, by what it is called, made for a session. */
  private static final Map<String, Function<Session, View<?>>> VIEWS = views();

  private static Map<String, Function<Session, View<?>>> views() {
    Map<String, Function<Session, View<?>>> views = new LinkedHashMap<>();
    views.put("breadth", session -> new BreadthView());
    views.put("cards", session -> new CardsView(session, List.of("AAAAAA", "CCCCCC")));
    views.put("clock", session -> new ClockView());
    views.put(
        "day result",
        session ->
            new DayResultView(
                session,
                List.of(
                    TestFills.fill("06:31 AAAAAA buy 100 10"),
                    TestFills.fill("15:00 AAAAAA sell 100 10.20")),
                CostMethod.FIRST_IN_FIRST_OUT));
    views.put("days", session -> new DaysView(session, 1));
    views.put("facts", session -> new FactsView(session, 0, CheckRule.DEFAULT));
    views.put("find", session -> new FindView(session, "b"));
    views.put("gaps", GapsView::new);
    views.put("halts", HaltsView::new);
    views.put("hit counts", session -> new HitCountsView());
    views.put("hits", session -> new HitsView());
    views.put("imbalances", ImbalancesView::new);
    views.put("key figures", session -> new KeyFiguresView(session, 2));
    views.put("lively symbol", session -> new LivelySymbolView());
    views.put("matches", session -> new MatchesView(session, BUSY));
    views.put("minutes", session -> new MinutesView(session, 0, 10_000));
    views.put("newest hit", session -> new NewestHitView("AAAAAA", Set.of("busy", "highs")));
    views.put("news", session -> new NewsView(session, CatalystFilter.ALL));
    views.put(
        "paper",
        session ->
            new PaperView(
                session, () -> 300 * DayTime.MILLISECOND, UsualSpreads.NONE, () -> INSTRUCTIONS));
    views.put("prints", session -> new PrintsView(session, 0));
    views.put("quote", session -> new QuoteView(session, 0));
    views.put(
        "rang",
        session ->
            new RangView(
                session,
                new AttentionOverDay(TestSessions.DATE, BOOK, List.of(), AlertBook.EMPTY, Set.of()),
                AlertLimits.DEFAULT,
                List.of()));
    views.put(
        "size",
        session ->
            new SizeView(
                session,
                0,
                new SizeView.Asked(
                    1,
                    Price.NONE,
                    Price.NONE,
                    0.5,
                    10_000,
                    100,
                    Fees.NONE,
                    BuyingPower.of("margin 4x", "2x"))));
    views.put("stream", session -> new StreamView(session, SCANS, Set.of()));
    views.put("news of a symbol", session -> new SymbolNewsView(session, 0));
    views.put("unfound", session -> new UnfoundView(session, Set.of("busy")));
    views.put("wall", WallView::new);
    views.put(
        "watch",
        session ->
            new WatchView(
                session,
                List.of(
                    new WatchView.Watching(
                        Watchlist.Entry.of("AAAAAA"),
                        Side.UP,
                        List.of(
                            Level.standing("AAAAAA", 100_300, LevelKind.BY_HAND, DayTime.of(8, 0))),
                        null)),
                List.of(FieldCatalogue.number("change %"), FieldCatalogue.number("volume 5m")),
                BUSY));
    views.put("workings", session -> new WorkingsView(BUSY, 0, "AAAAAA"));
    return views;
  }

  private static Session cut(Session whole, long moment) {
    EventTape tape = new EventTape(SECURITIES);
    int told = whole.tape().countUntil(moment);
    for (int i = 0; i < told; i++) {
      TapeCopy.event(whole.tape(), i, tape);
    }
    return new Session(
            whole.hours(),
            whole.phases(),
            whole.securities(),
            whole.catalysts(),
            whole.knownEvents(),
            tape)
        .with(whole.earlier());
  }

  private static Map<String, Object> shown(Session session, long moment) {
    SessionRun run = SessionRun.of(session, new Program(SCANS, List.of()), Progress.NONE);
    TapeReplay replay = run.replay();
    run.seek(replay, moment);
    Moment at = new Moment(replay, run.hitsUntil(moment));
    Map<String, Object> shown = new LinkedHashMap<>();
    VIEWS.forEach((name, view) -> shown.put(name, view.apply(session).look(at)));
    return shown;
  }

  @Tag("proof")
  @Property(tries = 8)
  void noViewLooksAheadAtLength(
      @ForAll long seed,
      @ForAll @LongRange(min = DayTime.FIRST, max = DayTime.LAST) long moment,
      @ForAll boolean late) {
    noViewLooksAhead(seed, moment, late);
  }

  @Property(tries = 1)
  void noViewLooksAhead(
      @ForAll long seed,
      @ForAll @LongRange(min = DayTime.FIRST, max = DayTime.LAST) long moment,
      @ForAll boolean late) {
    Session whole =
        late
            ? RandomSessions.withLateEvents(seed, SECURITIES, EVENTS)
            : RandomSessions.of(seed, SECURITIES, EVENTS);

    Map<String, Object> seen = shown(whole, moment);
    Map<String, Object> known = shown(cut(whole, moment), moment);

    seen.forEach(
        (name, look) ->
            assertThat(known.get(name))
                .as(name)
                .usingRecursiveComparison()
                .withEqualsForType((a, b) -> a.equals(b), Double.class)
                // The newest are read from the tape when they are asked, which is another one here.
                .withEqualsForType((a, b) -> a.equals(b), FieldValues.class)
                .ignoringFieldsOfTypes(Session.class)
                .isEqualTo(look));
  }
}
