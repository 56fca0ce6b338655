package kelvo.sim;

import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import kelvo.history.DailyBar;
import kelvo.job.Progress;
import kelvo.session.SecurityKind;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import kelvo.time.TradingCalendar;
import org.jspecify.annotations.Nullable;

/**
 * Invents the sessions before the demo's: minute bars and mentions of all of them, every print of
 * the newest few. In each of them the demo's stories happen again, to other companies; daily bars
 * are those of the prints.
 */
public final class EarlierSessions {
  private static final double PRINT_SHARES = 170;
  private static final double TYPICAL_PREMARKET_PART = 0.03;
  private static final int FIRST_ECHO = 100;
  private static final int ECHOES_APART = 17;

  private final DemoSize size;
  private final long seed;
  private final TradingCalendar calendar;
  private final List<InventedStock> stocks;
  private final List<LocalDate> dates = new ArrayList<>();

  /** By date and stock: the story that happens again. */
  private final Map<LocalDate, Map<Integer, Story>> echoes = new HashMap<>();

  /** By stock and date: the bar that the prints make. */
  private final Map<LocalDate, @Nullable DailyBar[]> bars = new HashMap<>();

  EarlierSessions(DemoSize size, long seed, TradingCalendar calendar, List<InventedStock> stocks) {
    this.size = size;
    this.seed = seed;
    this.calendar = calendar;
    this.stocks = stocks;
    LocalDate day = size.session();
    while (dates.size() < Math.max(size.minuteSessions(), size.printSessions())) {
      day = calendar.before(day);
      if (calendar.hours(day).kind() == SessionHours.Kind.FULL) {
        dates.addFirst(day);
      }
    }
    for (int d = 0; d < dates.size(); d++) {
      echoes.put(dates.get(d), echoesOf(d));
    }
  }

  /** The stories that happen again on a date of a market, with their companies. */
  public static List<Story> stories(
      DemoSize size, long seed, TradingCalendar calendar, LocalDate date) {
    EarlierSessions earlier =
        new EarlierSessions(size, seed, calendar, InventedMarket.of(size, seed));
    return List.copyOf(earlier.echoes.getOrDefault(date, Map.of()).values());
  }

  private Map<Integer, Story> echoesOf(int day) {
    Map<Integer, Story> found = new HashMap<>();
    int next = FIRST_ECHO + day * ECHOES_APART;
    for (Story story : PlantedStories.all()) {
      if (story.kind() != SecurityKind.COMMON_STOCK || story.splitRatio() != 1) {
        continue;
      }
      int number = next++ % stocks.size();
      while (stocks.get(number).story() != null
          || stocks.get(number).kind() != SecurityKind.COMMON_STOCK
          || found.containsKey(number)) {
        number = next++ % stocks.size();
      }
      InventedStock stock = stocks.get(number);
      found.put(number, story.of(stock.symbol(), stock.name(), stock.sector()));
    }
    return found;
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

  /** Writes every session. */
  void write(Path root, DailyInvention daily, Progress progress) throws IOException {
    for (int d = 0; d < dates.size(); d++) {
      LocalDate date = dates.get(d);
      List<InventedStock> then = stocksOn(date, daily);
      InventedSession session =
          new InventedSession(then, seed + date.toEpochDay(), calendar.hours(date));
      for (int i = 0; i < then.size(); i++) {
        session.invent(i);
      }
      MinutesOfSession minutes =
          new MinutesOfSession(session.trades, then.size(), calendar.hours(date));
      bars.put(date, minutes.daily(date));
      SessionFolder folder = new SessionFolder(root, date, then);
      if (d >= dates.size() - size.printSessions()) {
        folder.write(session);
        NewsWire.write(root.resolve("news"), date, then, seed + d);
      } else {
        folder.mentions(session.mentions);
      }
      if (d >= dates.size() - size.minuteSessions()) {
        MinutesTable.write(root.resolve("minutes"), date, csv -> minutes.write(csv, then));
      }
      progress.done((d + 1.0) / dates.size());
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
        stock.averageVolume() / PRINT_SHARES * Math.exp(0.35 * random.nextGaussian());
    return stock.on(
        before,
        close,
        story != null
            ? story.price()
            : InventedMarket.drift(close / before - 1, 0.4 * random.nextDouble()),
        story != null
            ? story.activity()
            : InventedMarket.activity(dayPrints, TYPICAL_PREMARKET_PART),
        story);
  }
}
