package kelvo.sim;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import kelvo.history.DailyBar;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import kelvo.time.TradingCalendar;

/**
 * The sessions before those with prints, of which the demo has minute bars only. They make the
 * daily bars of their dates; {@link DemoHistory} writes their tables.
 */
final class MinuteSessions {
  private static final double OVERNIGHT = 0.3;
  private static final double QUIET_PRINTS = 120;
  private static final double PLANTED_PRINTS = 500;
  private static final double PLANTED_CALM = 0.6;

  private final long seed;
  private final List<InventedStock> stocks;
  private final List<LocalDate> dates;
  private final Set<LocalDate> all;
  private final PlantedRegularities planted;

  MinuteSessions(DemoSize size, long seed, TradingCalendar calendar, List<InventedStock> stocks) {
    this.seed = seed;
    this.stocks = stocks;
    dates = datesOf(size, calendar);
    all = Set.copyOf(dates);
    planted = new PlantedRegularities(stocks, dates, seed);
  }

  /** The full sessions before those with prints, oldest first. */
  static List<LocalDate> datesOf(DemoSize size, TradingCalendar calendar) {
    int newer = Math.max(size.minuteSessions(), size.printSessions());
    return size.fullSessionsBefore(calendar, newer + size.barSessions())
        .subList(0, size.barSessions());
  }

  /** Writes the table of one of them. */
  void write(Path root, DailyInvention daily, LocalDate date) {
    Unfinished unfinished = Unfinished.of(root, date);
    MinutesTable.write(
        unfinished.folder(),
        date,
        table -> {
          for (int i = 0; i < stocks.size(); i++) {
            String symbol = stocks.get(i).symbol();
            for (StockMinutes.Row row : daily.minutes(i, stocks.get(i), date).rows()) {
              table.row(
                  symbol,
                  DayTime.seconds(row.minute() * DayTime.MINUTE),
                  row.open(),
                  row.high(),
                  row.low(),
                  row.close(),
                  row.volume(),
                  row.trades());
            }
          }
        });
    unfinished.finish(MinutesTable.folder(root), MinutesTable.name(date));
  }

  /** How far a stock closes from the close before, as a multiple, where it is planted; else 0. */
  double multiple(int number, LocalDate date) {
    PlantedDay day = planted.of(number, date);
    return day == null ? 0 : day.multiple();
  }

  /** What happens again and again in them. */
  PlantedRegularities planted() {
    return planted;
  }

  /** Whether a date is one of theirs. */
  boolean has(LocalDate date) {
    return all.contains(date);
  }

  /**
   * A stock's minutes on one of the dates.
   *
   * @param before its close on the session before, dollars
   * @param close its close, dollars
   */
  StockMinutes minutes(int number, LocalDate date, double before, double close) {
    InventedStock stock = stocks.get(number);
    SplittableRandom random =
        new SplittableRandom(seed * 53 + date.toEpochDay() * 131_071 + number);
    PlantedDay day = planted.of(number, date);
    double volatility = stock.dailyVolatility();
    double volume = stock.averageVolume() * Math.exp(0.35 * random.nextGaussian());
    double dayPrints = Math.min(QUIET_PRINTS, volume / 600);
    if (day != null) {
      List<Story.Mark> marks = new ArrayList<>();
      for (Story.Mark mark : day.price()) {
        // The close is at a tick, and the daily bars have it so.
        double price = before * mark.value();
        marks.add(new Story.Mark(mark.at(), mark.at() >= SessionHours.USUAL_CLOSE ? close : price));
      }
      return StockMinutes.of(
          random, marks, PLANTED_CALM * volatility, volume * day.busier(), PLANTED_PRINTS);
    }
    double open = before * Math.exp(OVERNIGHT * volatility * random.nextGaussian());
    return StockMinutes.of(
        random,
        List.of(
            new Story.Mark(DayTime.FIRST, before),
            new Story.Mark(SessionHours.OPEN, open),
            new Story.Mark(SessionHours.USUAL_CLOSE, close),
            new Story.Mark(DayTime.LAST, close)),
        volatility,
        volume,
        dayPrints);
  }

  /** The daily bar of a stock on one of the dates. */
  DailyBar daily(int number, LocalDate date, double before, double close) {
    return minutes(number, date, before, close).daily(date);
  }
}
