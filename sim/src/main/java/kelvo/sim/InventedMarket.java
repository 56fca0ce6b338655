package kelvo.sim;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import kelvo.session.SecurityKind;
import kelvo.time.DayTime;

/** The securities of the invented market: the planted stories, two benchmarks, and many others. */
final class InventedMarket {
  private static final List<String> VENUES = List.of("XNAS", "XNAS", "XNYS", "XASE", "ARCX");
  private static final double LAST_RANK_SHIFT = 18;
  private static final double RANK_POWER = 0.9;
  private static final int GAPPERS = 64;
  private static final int ONE_LEAPS_IN = 300;
  private static final double LEAP = 1.35;

  private final LocalDate session;
  private final int prints;
  private final SplittableRandom random;
  private final List<InventedStock> stocks = new ArrayList<>();

  private InventedMarket(DemoSize size, long seed) {
    session = size.session();
    prints = size.prints();
    random = new SplittableRandom(seed);
  }

  /** The market of a size and seed: the same each time. */
  static List<InventedStock> of(DemoSize size, long seed) {
    InventedMarket market = new InventedMarket(size, seed);
    PlantedStories.all().forEach(market::add);
    market.benchmark("MARKTA", "Whole Market Fund", 214.30, 1.004);
    market.benchmark("SMALCO", "Small Companies Fund", 88.12, 1.009);
    Set<String> taken = new HashSet<>();
    market.stocks.forEach(s -> taken.add(s.symbol()));
    InventedNames names = new InventedNames(seed + 1, taken);
    int others = size.securities() - market.stocks.size();
    double scale = market.rankScale(others);
    for (int rank = 0; rank < others; rank++) {
      market.other(names, rank, others, scale);
    }
    market.leaps(seed);
    return List.copyOf(market.stocks);
  }

  /** Lets a few common stocks leap so far in two minutes that their trading is paused. */
  private void leaps(long seed) {
    SplittableRandom leaping = new SplittableRandom(seed + 77);
    for (int i = 1; i <= stocks.size() / ONE_LEAPS_IN; i++) {
      int number = stocks.size() / 3 + leaping.nextInt(stocks.size() / 3);
      InventedStock stock = stocks.get(number);
      if (stock.story() == null && stock.kind() == SecurityKind.COMMON_STOCK) {
        long at = DayTime.of(10, 0) + leaping.nextLong(5 * DayTime.HOUR);
        double way = leaping.nextBoolean() ? LEAP : 1 / LEAP;
        stocks.set(number, stock.leaping(at, way));
      }
    }
  }

  private void add(Story story) {
    boolean thin = story.id().equals("stairs") || story.id().equals("fake");
    stocks.add(
        new InventedStock(
            story.symbol(),
            story.company(),
            "XNAS",
            story.kind(),
            story.sector(),
            story.floatShares() * 1.4,
            story.floatShares(),
            session.minusDays(58),
            !thin,
            false,
            story.previousClose(),
            story.splitRatio(),
            thin ? 0.035 : 0.045,
            thin ? 60_000 : 900_000,
            story.price(),
            story.activity(),
            story.printShares(),
            story,
            0));
  }

  private void benchmark(String symbol, String name, double close, double end) {
    stocks.add(
        new InventedStock(
            symbol,
            name,
            "ARCX",
            SecurityKind.FUND,
            "",
            9e8,
            Double.NaN,
            session.minusDays(30),
            true,
            true,
            close,
            1,
            0.009,
            4e7,
            List.of(new Story.Mark(DayTime.FIRST, 1.001), new Story.Mark(DayTime.LAST, end)),
            activity(45_000, 0.05),
            220,
            null,
            0));
  }

  /** Prints of the first rank, so that all ranks together make the wanted number. */
  private double rankScale(int others) {
    double sum = 0;
    for (int rank = 0; rank < others; rank++) {
      sum += Math.pow(rank + LAST_RANK_SHIFT, -RANK_POWER);
    }
    return prints / sum;
  }

  private void other(InventedNames names, int rank, int others, double scale) {
    String sector = InventedNames.SECTORS.get(random.nextInt(InventedNames.SECTORS.size()));
    SecurityKind kind = kind();
    String name = names.company(sector);
    double dayPrints = scale * Math.pow(rank + LAST_RANK_SHIFT, -RANK_POWER);
    boolean gapper =
        kind == SecurityKind.COMMON_STOCK && rank > 60 && random.nextInt(others - 60) < GAPPERS * 2;
    double gap =
        gapper
            ? (random.nextInt(5) < 3 ? 1 : -1) * (0.045 + 0.09 * Math.pow(random.nextDouble(), 2))
            : gaussian() * 0.011;
    double close =
        Math.exp(1.1 + 2.9 * random.nextDouble() + 0.3 * gaussian()) * (rank < 200 ? 2 : 1);
    double shares = Math.exp(15.8 + 2.2 * random.nextDouble() + (rank < 400 ? 1.5 : 0));
    boolean floatKnown = random.nextInt(12) > 0;
    stocks.add(
        new InventedStock(
            names.symbol(name),
            name,
            VENUES.get(random.nextInt(VENUES.size())),
            kind,
            sector,
            Math.rint(shares),
            floatKnown && kind == SecurityKind.COMMON_STOCK
                ? Math.rint(shares * (0.35 + 0.6 * random.nextDouble()))
                : Double.NaN,
            session.minusDays(20 + random.nextInt(220)),
            random.nextInt(5) > 0,
            false,
            Math.max(0.4, Math.round(close * 100) / 100.0),
            1,
            0.014 + 0.03 * random.nextDouble(),
            dayPrints * 170,
            drift(gap, gapper),
            activity(
                gapper ? Math.max(dayPrints, 900 + random.nextInt(2500)) : dayPrints,
                gapper ? 0.16 : 0.03),
            150,
            null,
            0));
  }

  private SecurityKind kind() {
    int draw = random.nextInt(100);
    return draw < 78
        ? SecurityKind.COMMON_STOCK
        : draw < 88
            ? SecurityKind.FUND
            : draw < 92
                ? SecurityKind.DEPOSITARY_RECEIPT
                : draw < 95
                    ? SecurityKind.WARRANT
                    : draw < 97
                        ? SecurityKind.PREFERRED
                        : draw < 99 ? SecurityKind.UNIT : SecurityKind.RIGHT;
  }

  /** A quiet day that ends so far from the close before, a part of the way at the open. */
  static List<Story.Mark> drift(double change, double partAtOpen) {
    double gap = change * partAtOpen;
    return List.of(
        new Story.Mark(DayTime.FIRST, 1 + gap * 0.4),
        new Story.Mark(DayTime.of(9, 30), 1 + gap),
        new Story.Mark(DayTime.of(16, 0), 1 + change),
        new Story.Mark(DayTime.LAST, 1 + change));
  }

  private List<Story.Mark> drift(double gap, boolean gapper) {
    double after = gap * (gapper ? 0.2 + 1.1 * random.nextDouble() : 1) + 0.008 * gaussian();
    return List.of(
        new Story.Mark(DayTime.FIRST, 1 + gap * 0.4),
        new Story.Mark(DayTime.of(7, 30), 1 + gap * (0.8 + 0.3 * random.nextDouble())),
        new Story.Mark(DayTime.of(9, 30), 1 + gap),
        new Story.Mark(DayTime.of(11, 0), 1 + gap + (after - gap) * 0.6),
        new Story.Mark(DayTime.of(16, 0), 1 + after),
        new Story.Mark(DayTime.LAST, 1 + after));
  }

  /**
   * A day's prints spread as US stocks trade: little early, most after the open and before the
   * close.
   */
  static List<Story.Mark> activity(double dayPrints, double premarketPart) {
    double pre = dayPrints * premarketPart;
    double regular = dayPrints * (1 - premarketPart - 0.01);
    return List.of(
        new Story.Mark(DayTime.FIRST, pre * 0.15 / 180),
        new Story.Mark(DayTime.of(7, 0), pre * 0.35 / 90),
        new Story.Mark(DayTime.of(8, 30), pre * 0.5 / 60),
        new Story.Mark(DayTime.of(9, 30), regular * 0.22 / 30),
        new Story.Mark(DayTime.of(10, 0), regular * 0.24 / 90),
        new Story.Mark(DayTime.of(11, 30), regular * 0.13 / 90),
        new Story.Mark(DayTime.of(13, 0), regular * 0.17 / 120),
        new Story.Mark(DayTime.of(15, 0), regular * 0.24 / 60),
        new Story.Mark(DayTime.of(16, 0), dayPrints * 0.01 / 240));
  }

  private double gaussian() {
    return random.nextGaussian();
  }
}
