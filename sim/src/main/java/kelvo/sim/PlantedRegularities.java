package kelvo.sim;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Predicate;
import kelvo.news.Catalyst;
import kelvo.session.SecurityKind;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * What happens again and again in the sessions of minute bars, for research to find: stocks of low
 * float that run on one day fade on the next, while those of high float do not; who gaps on
 * earnings goes anywhere from there; and the morning's risers of one sector rise on until the
 * close, while those of the others do not. The same for the same market and seed.
 */
public final class PlantedRegularities {
  /** Whose risers rise on. */
  public static final String SECTOR = "fog harvesting";

  /** Runners of at most this float fade. */
  public static final double LOW_FLOAT = 10e6;

  /** How far the fading ones fall on the next day, as a part of the close before, on average. */
  public static final double FADE = 0.09;

  /** How far the sector's risers rise on from 10:30 to the close, on average. */
  public static final double FOLLOW_THROUGH = 0.035;

  private static final double HIGH_FLOAT = 20e6;
  private static final int RUNNERS = 3;
  private static final int GAPPERS = 4;
  private static final int RISERS = 3;
  private static final int OTHER_RISERS = 5;
  private static final double LOWEST = 2;
  private static final double HIGHEST = 40;
  private static final double USUAL_MOVE = 0.025;
  private static final double BUSY = 14;
  private static final String EARNINGS = "%s reports earnings of its fourth quarter";

  private final List<InventedStock> stocks;
  private final SplittableRandom random;
  private final Map<LocalDate, LocalDate> next = new HashMap<>();
  private final Map<LocalDate, Map<Integer, PlantedDay>> planted = new HashMap<>();

  PlantedRegularities(List<InventedStock> stocks, List<LocalDate> dates, long seed) {
    this.stocks = stocks;
    random = new SplittableRandom(seed * 92_821 + 11);
    dates.forEach(date -> planted.put(date, new HashMap<>()));
    for (int d = 1; d < dates.size(); d++) {
      next.put(dates.get(d - 1), dates.get(d));
    }
    dates.forEach(this::plant);
  }

  private void plant(LocalDate date) {
    runners(date, stock -> stock.floatShares() <= LOW_FLOAT, move -> move - FADE);
    runners(date, stock -> stock.floatShares() >= HIGH_FLOAT, move -> move);
    for (int i = 0; i < GAPPERS; i++) {
      put(date, pick(date, stock -> stock.floatShares() > LOW_FLOAT), this::gapOnEarnings);
    }
    for (int i = 0; i < RISERS; i++) {
      put(date, pick(date, stock -> stock.sector().equals(SECTOR)), () -> riser(FOLLOW_THROUGH));
    }
    for (int i = 0; i < OTHER_RISERS; i++) {
      put(date, pick(date, stock -> !stock.sector().equals(SECTOR)), () -> riser(0));
    }
  }

  private void runners(
      LocalDate date, Predicate<InventedStock> which, DoubleUnaryOperator nextMove) {
    for (int i = 0; i < RUNNERS; i++) {
      int number = pick(date, which);
      put(date, number, this::run);
      put(
          next.getOrDefault(date, LocalDate.MAX),
          number,
          () -> after(nextMove.applyAsDouble(move())));
    }
  }

  private interface Made {
    PlantedDay day();
  }

  private void put(LocalDate date, int number, Made made) {
    if (number >= 0) {
      planted.getOrDefault(date, new HashMap<>()).put(number, made.day());
    }
  }

  /**
   * A common stock without a story to which nothing happens on a date and the next; below 0 without
   * one.
   */
  private int pick(LocalDate date, Predicate<InventedStock> which) {
    Map<Integer, PlantedDay> taken = planted.getOrDefault(date, Map.of());
    Map<Integer, PlantedDay> then = planted.getOrDefault(next.getOrDefault(date, date), Map.of());
    int first = random.nextInt(stocks.size());
    for (int i = 0; i < stocks.size(); i++) {
      int number = (first + i) % stocks.size();
      InventedStock stock = stocks.get(number);
      if (stock.story() == null
          && stock.kind() == SecurityKind.COMMON_STOCK
          && stock.previousClose() >= LOWEST
          && stock.previousClose() <= HIGHEST
          && !taken.containsKey(number)
          && !then.containsKey(number)
          && which.test(stock)) {
        return number;
      }
    }
    return -1;
  }

  private double move() {
    return USUAL_MOVE * random.nextGaussian();
  }

  private static Story.Mark mark(int hour, int minute, double value) {
    return new Story.Mark(DayTime.of(hour, minute), value);
  }

  private PlantedDay run() {
    double top = 1.25 + 0.3 * random.nextDouble();
    double close = top * (0.9 + 0.05 * random.nextDouble());
    return new PlantedDay(
        List.of(
            mark(4, 0, 1),
            mark(9, 30, 1.03),
            mark(11, 0, top),
            mark(16, 0, close),
            mark(20, 0, close)),
        BUSY);
  }

  private PlantedDay after(double move) {
    double open = 1 + move() / 3;
    return new PlantedDay(
        List.of(mark(4, 0, 1), mark(9, 30, open), mark(16, 0, 1 + move), mark(20, 0, 1 + move)),
        BUSY / 2);
  }

  private PlantedDay gapOnEarnings() {
    double way = random.nextBoolean() ? 1 : -1;
    double open = 1 + way * (0.05 + 0.09 * random.nextDouble());
    double close = open * (1 + move());
    return new PlantedDay(
        List.of(
            mark(4, 0, 1),
            mark(7, 0, 1),
            mark(7, 30, open),
            mark(9, 30, open),
            mark(16, 0, close),
            mark(20, 0, close)),
        BUSY / 2,
        DayTime.of(7, 0),
        EARNINGS);
  }

  private PlantedDay riser(double further) {
    double morning = 1.045 + 0.025 * random.nextDouble();
    double close = morning * (1 + further + move());
    return new PlantedDay(
        List.of(
            mark(4, 0, 1),
            mark(9, 30, 1.01),
            mark(10, 30, morning),
            mark(16, 0, close),
            mark(20, 0, close)),
        BUSY / 2);
  }

  /** What is planted for a stock on a date; null for nothing. */
  @Nullable PlantedDay of(int number, LocalDate date) {
    return planted.getOrDefault(date, Map.of()).get(number);
  }

  /**
   * The items of news about what is planted.
   *
   * @param since the date whose midnight their moments count from
   */
  List<Catalyst> news(LocalDate since) {
    List<Catalyst> items = new ArrayList<>();
    planted.forEach(
        (date, ofDate) ->
            ofDate.forEach(
                (number, day) -> {
                  if (!day.headline().isEmpty()) {
                    InventedStock stock = stocks.get(number);
                    String headline = day.headline().formatted(stock.name());
                    items.add(
                        new Catalyst(
                            (date.toEpochDay() - since.toEpochDay()) * DayTime.DAY + day.newsAt(),
                            NewsWire.SOURCE,
                            headline,
                            headline + ". Figures are in the report.",
                            List.of(stock.symbol())));
                  }
                }));
    return items;
  }
}
