package kelvo.data.folder;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.ToDoubleBiFunction;
import kelvo.history.EarlierMinutes;
import kelvo.history.SessionMinutes;
import kelvo.session.ReferenceLevel;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.TradingCalendar;

/**
 * What the minute bars of single earlier sessions tell beforehand: the VWAP of regular hours of the
 * newest as levels, the evening before, and the prices at earlier news.
 */
final class EarlierBars {
  private static final int SESSIONS = 3;
  private static final int OPEN = (int) (DayTime.of(9, 30) / DayTime.MINUTE);
  private static final int CLOSE = (int) (DayTime.of(16, 0) / DayTime.MINUTE);
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("MM-dd");

  private final TradingCalendar calendar;
  private final Map<String, Integer> numbers;
  private final MinuteFiles files;
  private final LocalDate session;
  private final ToDoubleBiFunction<String, LocalDate> ratio;

  /**
   * What is known before a session.
   *
   * @param ratio by how many a share of a symbol at a date has become until the session
   */
  EarlierBars(
      TradingCalendar calendar,
      Map<String, Integer> numbers,
      MinuteFiles files,
      LocalDate session,
      ToDoubleBiFunction<String, LocalDate> ratio) {
    this.calendar = calendar;
    this.numbers = numbers;
    this.files = files;
    this.session = session;
    this.ratio = ratio;
  }

  private interface Symbol {
    void take(int place, String symbol, int number);
  }

  private void eachKnown(SessionMinutes minutes, Symbol symbols) {
    for (int place = 0; place < minutes.symbols().size(); place++) {
      String symbol = minutes.symbols().get(place);
      Integer number = numbers.get(symbol);
      if (number != null) {
        symbols.take(place, symbol, number);
      }
    }
  }

  /** The VWAPs by the number of the security, the newest day first. */
  Map<Integer, List<ReferenceLevel>> vwaps() {
    Map<Integer, List<ReferenceLevel>> levels = new HashMap<>();
    for (LocalDate day : EarlierFiles.before(session, calendar, files::stem, SESSIONS).keySet()) {
      files.of(day).ifPresent(minutes -> addVwaps(day, minutes, levels));
    }
    return levels;
  }

  private void addVwaps(
      LocalDate day, SessionMinutes minutes, Map<Integer, List<ReferenceLevel>> levels) {
    eachKnown(
        minutes,
        (place, symbol, number) -> {
          double vwap = minutes.vwap(place, OPEN, CLOSE);
          if (!Double.isNaN(vwap)) {
            levels
                .computeIfAbsent(number, n -> new ArrayList<>())
                .add(
                    new ReferenceLevel(
                        Price.of(vwap / ratio.applyAsDouble(symbol, day)),
                        "VWAP of " + DAY.format(day)));
          }
        });
  }

  /**
   * The evening before, and the closes of days with news.
   *
   * @param named the symbols that news of earlier days names, by the day
   */
  EarlierMinutes minutes(Map<LocalDate, Set<String>> named) {
    Map<Integer, NavigableMap<Long, Long>> closes = new HashMap<>();
    named.forEach(
        (day, symbols) -> files.of(day).ifPresent(bars -> addCloses(day, bars, symbols, closes)));
    return new EarlierMinutes(evenings(), closes);
  }

  /** By security, of all of them when any was traded that evening. */
  private Map<Integer, EarlierMinutes.Evening> evenings() {
    LocalDate last = calendar.before(session);
    int bell = (int) (calendar.hours(last).close() / DayTime.MINUTE);
    Map<Integer, EarlierMinutes.Evening> traded = new HashMap<>();
    Optional<SessionMinutes> bars = files.of(last);
    bars.ifPresent(
        minutes ->
            eachKnown(
                minutes,
                (place, symbol, number) -> {
                  EarlierMinutes.Evening evening = minutes.since(place, bell);
                  if (evening.close() != Price.NONE) {
                    double split = ratio.applyAsDouble(symbol, last);
                    traded.put(
                        number,
                        new EarlierMinutes.Evening(
                            evening.shares() * split, split(evening.close(), split)));
                  }
                }));
    if (traded.isEmpty()) {
      return Map.of();
    }
    Map<Integer, EarlierMinutes.Evening> evenings = new HashMap<>();
    numbers.values().forEach(n -> evenings.put(n, new EarlierMinutes.Evening(0, Price.NONE)));
    evenings.putAll(traded);
    return evenings;
  }

  private static long split(long price, double ratio) {
    return Price.of(Price.dollars(price) / ratio);
  }

  private void addCloses(
      LocalDate day,
      SessionMinutes minutes,
      Set<String> symbols,
      Map<Integer, NavigableMap<Long, Long>> closes) {
    long midnight = -ChronoUnit.DAYS.between(day, session) * DayTime.DAY;
    eachKnown(
        minutes,
        (place, symbol, number) -> {
          if (symbols.contains(symbol)) {
            double split = ratio.applyAsDouble(symbol, day);
            NavigableMap<Long, Long> own = closes.computeIfAbsent(number, n -> new TreeMap<>());
            minutes
                .closesByEnd(place)
                .forEach(
                    (end, close) -> own.put(midnight + end * DayTime.MINUTE, split(close, split)));
          }
        });
  }
}
