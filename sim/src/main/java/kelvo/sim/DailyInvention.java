package kelvo.sim;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.concurrent.ConcurrentHashMap;
import kelvo.history.DailyBar;
import kelvo.tape.Price;
import kelvo.time.TradingCalendar;

/** Invents daily bars that end at a security's previous close. */
final class DailyInvention {
  private final List<LocalDate> dates = new ArrayList<>();
  private final long seed;
  private final EarlierSessions earlier;
  private final MinuteSessions minuteSessions;
  private final Map<Integer, double[]> known = new ConcurrentHashMap<>();

  DailyInvention(
      DemoSize size,
      long seed,
      TradingCalendar calendar,
      EarlierSessions earlier,
      MinuteSessions minuteSessions) {
    this.seed = seed;
    this.earlier = earlier;
    this.minuteSessions = minuteSessions;
    LocalDate day = size.session();
    for (int i = 0; i < size.days(); i++) {
      day = calendar.before(day);
      dates.addFirst(day);
    }
  }

  /** A stock's close on one of the dates, dollars; as far back as the first. */
  double close(int number, InventedStock stock, LocalDate date) {
    double[] closes = known.computeIfAbsent(number, n -> closes(random(n), n, stock));
    return closes[Math.max(0, dates.indexOf(date))];
  }

  List<DailyBar> bars(int number, InventedStock stock) {
    return newest(number, stock, dates.size());
  }

  /** The newest bars, or all when there are fewer. */
  List<DailyBar> newest(int number, InventedStock stock, int most) {
    SplittableRandom random = random(number);
    double[] closes = closes(random, number, stock);
    List<DailyBar> bars = new ArrayList<>();
    for (int i = 0; i < closes.length; i++) {
      DailyBar usual = bar(i, closes, stock, random);
      if (i >= closes.length - most) {
        bars.add(
            i > 0 && minuteSessions.has(dates.get(i))
                ? minuteSessions.daily(number, dates.get(i), closes[i - 1], closes[i])
                : earlier.barOf(number, usual));
      }
    }
    return bars;
  }

  /** The minutes that make a stock's daily bar on a date of which there are minutes only. */
  StockMinutes minutes(int number, InventedStock stock, LocalDate date) {
    double[] closes = known.computeIfAbsent(number, n -> closes(random(n), n, stock));
    int place = dates.indexOf(date);
    return minuteSessions.minutes(number, date, closes[place - 1], closes[place]);
  }

  private SplittableRandom random(int number) {
    return new SplittableRandom(seed * 7_368_787 + number);
  }

  private double[] closes(SplittableRandom random, int number, InventedStock stock) {
    double[] closes = new double[dates.size()];
    double trend = stock.story() != null ? 0.0012 : 0.0006 * random.nextGaussian();
    double close = stock.previousClose();
    for (int i = closes.length - 1; i >= 0; i--) {
      closes[i] = Math.max(0.05, Math.round(close * 100) / 100.0);
      double shock = random.nextInt(60) == 0 ? 3 : 1;
      double usual = Math.exp(trend + shock * stock.dailyVolatility() * random.nextGaussian());
      double planted =
          Math.max(
              earlier.multiple(number, dates.get(i)),
              minuteSessions.multiple(number, dates.get(i)));
      close = Math.max(0.05, close / (planted > 0 ? planted : usual));
    }
    return closes;
  }

  private DailyBar bar(int i, double[] closes, InventedStock stock, SplittableRandom random) {
    double before = i == 0 ? closes[i] : closes[i - 1];
    double open = before * Math.exp(0.3 * stock.dailyVolatility() * random.nextGaussian());
    double reach = stock.dailyVolatility() * Math.abs(random.nextGaussian()) * 0.6;
    long top = units(Math.max(open, closes[i]) * (1 + reach));
    long bottom = units(Math.min(open, closes[i]) * (1 - Math.min(0.5, reach)));
    double busy =
        Math.exp(0.35 * random.nextGaussian()) * (1 + 12 * Math.abs(closes[i] / before - 1));
    long volume = Math.max(100, Math.round(stock.averageVolume() * busy));
    return new DailyBar(
        dates.get(i),
        Math.clamp(units(open), bottom, top),
        top,
        bottom,
        Math.clamp(units(closes[i]), bottom, top),
        volume,
        Math.max(1, volume / 170));
  }

  /** At the tick, above zero. */
  private static long units(double dollars) {
    long tick = dollars < 1 ? 1 : 100;
    return Math.max(tick, Math.round(dollars * Price.DOLLAR / tick) * tick);
  }
}
