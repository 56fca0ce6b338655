package kelvo.hit;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import kelvo.history.DailyBar;
import kelvo.history.DailyBarList;
import kelvo.history.DailyHistory;
import kelvo.news.Catalyst;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.Security;
import kelvo.session.SecurityFacts;
import kelvo.session.SecurityKind;
import kelvo.session.Session;
import kelvo.tape.EventKind;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.time.SessionHours;
import kelvo.trigger.Trigger;
import kelvo.universe.Universe;

/** Small sessions for tests: securities AAAAAA, BBBBBB ... that closed at $10 the day before. */
public final class TestSessions {
  public static final LocalDate DATE = LocalDate.of(2031, 3, 12);

  /** The items that a tape of a test may bring, by their numbers. */
  static final List<Catalyst> NEWS =
      List.of(
          new Catalyst(
              0, "Harbour Wire", "AAAAAA Works wins record contract", "", List.of("AAAAAA")),
          new Catalyst(
              0, "Harbour Wire", "Night rail offering priced", "", List.of("AAAAAA", "BBBBBB")));

  private TestSessions() {}

  /** A session of so many securities with the events that the filler puts on the tape. */
  public static Session of(int securities, Consumer<EventTape> filler) {
    return of(DATE, securities, filler);
  }

  /** A session of two securities on another date, on which nothing happens. */
  public static Session on(LocalDate date) {
    return of(date, 2, tape -> {});
  }

  private static Session of(LocalDate date, int securities, Consumer<EventTape> filler) {
    EventTape tape = new EventTape(securities);
    filler.accept(tape);
    List<SecurityFacts> facts = new ArrayList<>();
    for (int i = 0; i < securities; i++) {
      facts.add(facts(String.valueOf((char) ('A' + i)).repeat(6), SecurityKind.COMMON_STOCK, 10e6));
    }
    return new Session(SessionHours.full(date), Phases.DEFAULT, facts, news(tape), List.of(), tape);
  }

  /** The items that a tape brings: those of {@link #NEWS} in turn, every third one told late. */
  private static List<Catalyst> news(EventTape tape) {
    List<Catalyst> items = new ArrayList<>(NEWS);
    for (int i = 0; i < tape.size(); i++) {
      if (tape.kind(i) == EventKind.NEWS) {
        int number = tape.newsItem(i);
        while (items.size() <= number) {
          items.add(NEWS.get(items.size() % NEWS.size()));
        }
        long late = number % 3 == 2 ? 7 * DayTime.MINUTE : 0;
        Catalyst like = items.get(number);
        items.set(
            number,
            new Catalyst(
                tape.time(i) - late,
                like.source(),
                like.headline(),
                like.body(),
                like.symbols(),
                like.reading(),
                like.kind(),
                tape.time(i)));
      }
    }
    return items;
  }

  /** A security with twenty bars that close at $10. */
  public static SecurityFacts facts(String symbol, SecurityKind kind, double floatShares) {
    Security security =
        new Security(
            symbol,
            symbol + " Works",
            "XNAS",
            kind,
            "night rail",
            "",
            "US",
            20e6,
            floatShares,
            DATE.minusDays(40),
            true,
            false);
    List<DailyBar> bars =
        IntStream.range(0, 20)
            .mapToObj(
                i ->
                    new DailyBar(
                        DATE.minusDays(20 - i), 100_000, 102_000, 98_000, 100_000, 1_000_000, 900))
            .toList();
    return new SecurityFacts(
        security,
        DailyHistory.before(DATE, DailyBarList.of(bars), List.of()),
        null,
        floatShares,
        20e6);
  }

  /**
   * A session of one security, before its first event, after daily bars such as "open high low
   * close volume" in dollars, the last one yesterday.
   */
  public static Session after(List<String> bars) {
    List<DailyBar> daily = new ArrayList<>();
    for (int i = 0; i < bars.size(); i++) {
      String[] bar = bars.get(i).split(" ");
      daily.add(
          new DailyBar(
              DATE.minusDays(bars.size() - i),
              Price.parse(bar[0]),
              Price.parse(bar[1]),
              Price.parse(bar[2]),
              Price.parse(bar[3]),
              Long.parseLong(bar[4]),
              100));
    }
    SecurityFacts plain = facts("AAAAAA", SecurityKind.COMMON_STOCK, 2e6);
    SecurityFacts facts =
        new SecurityFacts(
            plain.security(),
            DailyHistory.before(DATE, DailyBarList.of(daily), List.of()),
            null,
            2e6,
            5e6);
    return new Session(
        SessionHours.full(DATE),
        Phases.DEFAULT,
        List.of(facts),
        List.of(),
        List.of(),
        new EventTape(1));
  }

  /** A scan of the whole day. */
  public static Scan scan(String name, List<Trigger> triggers, String... rules) {
    List<Rule> parsed =
        java.util.Arrays.stream(rules).map(r -> RuleSentence.parse(r, Vocabulary.DEFAULT)).toList();
    return new Scan(
        name,
        "",
        Universe.EVERYONE,
        DayTime.FIRST,
        DayTime.LAST,
        parsed,
        List.of(),
        triggers,
        Scan.DEFAULT_FOLD,
        Side.BOTH,
        50,
        List.of(),
        List.of());
  }

  /** All hits of a session. */
  public static List<Hit> hits(Session session, Scan... scans) {
    List<Hit> hits = new ArrayList<>();
    ScanEngine.replay(session, new Program(List.of(scans), List.of()), hits::add)
        .runTo(DayTime.LAST);
    return hits;
  }

  /** A regular print of 1,000 shares of a security, by its number. */
  public static void print(EventTape tape, String time, int security, double price) {
    tape.trade(
        DayTime.parse(time),
        security,
        Math.round(price * Price.DOLLAR),
        1_000,
        SaleCondition.REGULAR.bit());
  }
}
