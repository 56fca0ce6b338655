package kelvo.sim;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.concurrent.ConcurrentHashMap;
import kelvo.history.DailyBar;
import kelvo.job.Progress;
import kelvo.job.SideBySide;
import kelvo.session.SecurityKind;
import kelvo.time.DayTime;
import kelvo.time.TradingCalendar;
import org.jspecify.annotations.Nullable;

/**
 * Invents the sessions before the demo's: minute bars and mentions of all of them, every print of
 * the newest few. In each of them the demo's stories happen again, to other companies; daily bars
 * are those of the prints, so that each is invented before the day, and once more to be written.
 */
public final class EarlierSessions {
  private static final double PRINT_SHARES = 170;
  private static final double TYPICAL_PREMARKET_PART = 0.03;
  private static final int FIRST_ECHO = 100;
  private static final int ECHOES_APART = 17;
  private static final double LOW_FLOAT = 20e6;
  private static final double VERY_LOW_FLOAT = 10e6;
  private static final double LOWEST = 2;
  private static final double HIGHEST = 15;

  private final DemoSize size;
  private final long seed;
  private final TradingCalendar calendar;
  private final List<InventedStock> stocks;
  private final List<LocalDate> dates;
  private final Set<LocalDate> printed;

  /** By date and stock: the story that happens again. */
  private final Map<LocalDate, Map<Integer, Story>> echoes = new HashMap<>();

  /** The stocks to which something has happened that the trader trades. */
  private final Set<Integer> lowFloats = new HashSet<>();

  /** By stock and date: the bar that the prints make. */
  private final Map<LocalDate, @Nullable DailyBar[]> bars = new ConcurrentHashMap<>();

  EarlierSessions(DemoSize size, long seed, TradingCalendar calendar, List<InventedStock> stocks) {
    this.size = size;
    this.seed = seed;
    this.calendar = calendar;
    this.stocks = stocks;
    dates =
        size.fullSessionsBefore(calendar, Math.max(size.minuteSessions(), size.printSessions()));
    printed = Set.copyOf(printedOf(size, calendar));
    for (int d = 0; d < dates.size(); d++) {
      echoes.put(dates.get(d), echoesOf(d));
    }
  }

  /** The dates of those with prints, oldest first. */
  static List<LocalDate> printedOf(DemoSize size, TradingCalendar calendar) {
    return size.fullSessionsBefore(calendar, size.printSessions());
  }

  /** The stories that happen again on a date of a market, with their companies. */
  public static List<Story> stories(
      DemoSize size, long seed, TradingCalendar calendar, LocalDate date) {
    return new EarlierSessions(size, seed, calendar, InventedMarket.of(size, seed)).storiesOn(date);
  }

  private Map<Integer, Story> echoesOf(int day) {
    Map<Integer, Story> found = new HashMap<>();
    int next = FIRST_ECHO + day * ECHOES_APART;
    for (Story story : PlantedStories.all()) {
      if (story.kind() != SecurityKind.COMMON_STOCK || story.splitRatio() != 1) {
        continue;
      }
      int number = next++ % stocks.size();
      for (int tried = 1; !fits(stocks.get(number), story, found, number, tried); tried++) {
        number = next++ % stocks.size();
      }
      if (TraderHabits.STORIES.contains(story.id())) {
        lowFloats.add(number);
      }
      InventedStock stock = stocks.get(number);
      found.put(number, story.of(stock.symbol(), stock.name(), stock.sector()));
    }
    return found;
  }

  /**
   * What the trader trades happens to a stock of low float and price, each time to another one, as
   * long as there are any.
   */
  private boolean fits(
      InventedStock stock, Story story, Map<Integer, Story> taken, int number, int tried) {
    boolean free =
        stock.story() == null
            && stock.kind() == SecurityKind.COMMON_STOCK
            && !taken.containsKey(number)
            && !lowFloats.contains(number);
    boolean low =
        stock.floatShares() <= (story.floatShares() <= VERY_LOW_FLOAT ? VERY_LOW_FLOAT : LOW_FLOAT)
            && stock.previousClose() >= LOWEST
            && stock.previousClose() <= HIGHEST;
    return free && (low || !TraderHabits.STORIES.contains(story.id()) || tried > stocks.size());
  }

  /** How far a stock closes from the close before, as a multiple, where a story says so; else 0. */
  double multiple(int number, LocalDate date) {
    Story story = echoes.getOrDefault(date, Map.of()).get(number);
    return story == null ? 0 : Story.between(story.price(), DayTime.of(16, 0));
  }

  /** The bar that a stock's prints make on a date, or else the given one. */
  DailyBar barOf(int number, DailyBar otherwise) {
    @Nullable DailyBar[] known = bars.get(otherwise.date());
    DailyBar made = known == null ? null : known[number];
    return made == null ? otherwise : made;
  }

  /** The stories that happen again on a date, with their companies. */
  List<Story> storiesOn(LocalDate date) {
    return List.copyOf(echoes.getOrDefault(date, Map.of()).values());
  }

  /**
   * Invents every session, and writes what later days need of it: its news, its mentions and its
   * minute bars. Returns the trader's fills in those with prints, by date.
   */
  List<InventedFill> invent(Path root, DailyInvention daily, Progress progress) {
    return SideBySide.each(dates, (date, going) -> invent(root, daily, date), fills -> {}, progress)
        .stream()
        .flatMap(List::stream)
        .toList();
  }

  private List<InventedFill> invent(Path root, DailyInvention daily, LocalDate date) {
    int day = dates.indexOf(date);
    List<InventedStock> then = stocksOn(date, daily);
    InventedSession session = sessionOn(date, then);
    MinutesOfSession minutes =
        new MinutesOfSession(session.trades, then.size(), calendar.hours(date));
    bars.put(date, minutes.daily(date));
    SessionFolder.mentions(SessionFolder.of(root, date), then, session);
    if (day >= dates.size() - size.minuteSessions()) {
      MinutesTable.write(MinutesTable.folder(root), date, table -> minutes.write(table, then));
    }
    if (!printed.contains(date)) {
      return List.of();
    }
    news(root, date, then, day);
    return TraderHabits.fills(date, day, storiesOn(date), then, session.trades);
  }

  /** Writes the prints of a date; they make its daily bar, which is known already. */
  void write(Path root, DailyInvention daily, LocalDate date) {
    List<InventedStock> then = stocksOn(date, daily);
    Unfinished unfinished = Unfinished.of(root, date);
    SessionFolder.prints(unfinished.folder(), then, sessionOn(date, then));
    unfinished.finish(SessionFolder.of(root, date), SessionFolder.TRADES);
  }

  private InventedSession sessionOn(LocalDate date, List<InventedStock> then) {
    InventedSession session =
        new InventedSession(then, seed + date.toEpochDay(), calendar.hours(date));
    for (int i = 0; i < then.size(); i++) {
      session.invent(i);
    }
    return session;
  }

  private void news(Path root, LocalDate date, List<InventedStock> then, int day) {
    try {
      NewsWire.write(root.resolve("news"), date, then, seed + day);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private List<InventedStock> stocksOn(LocalDate date, DailyInvention daily) {
    List<InventedStock> then = new ArrayList<>();
    for (int i = 0; i < stocks.size(); i++) {
      then.add(stockOn(date, i, daily));
    }
    return then;
  }

  private InventedStock stockOn(LocalDate date, int number, DailyInvention daily) {
    InventedStock stock = stocks.get(number);
    double before = daily.close(number, stock, calendar.before(date));
    double close = daily.close(number, stock, date);
    SplittableRandom random = new SplittableRandom(seed * 31 + date.toEpochDay() * 65_537 + number);
    Story story = echoes.getOrDefault(date, Map.of()).get(number);
    double dayPrints =
        stock.averageVolume()
            / PRINT_SHARES
            / size.sharesAPrint()
            * Math.exp(0.35 * random.nextGaussian());
    return stock.on(
        before,
        close,
        story != null
            ? story.price()
            : InventedMarket.drift(close / before - 1, 0.4 * random.nextDouble()),
        story != null
            ? Story.thinned(story.activity(), size.storySharesAPrint())
            : InventedMarket.activity(dayPrints, TYPICAL_PREMARKET_PART),
        story == null ? size.sharesAPrint() : size.storySharesAPrint(),
        story);
  }
}
