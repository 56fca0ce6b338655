package kelvo.sim;

import java.util.List;
import java.util.SplittableRandom;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/** Invents one session's prints and quotes: each security's from a random source of its own. */
final class InventedSession {
  private static final int MINUTES = (int) ((DayTime.LAST - DayTime.FIRST) / DayTime.MINUTE);
  private static final int MINUTE_MS = 60_000;
  private static final double MINUTES_OF_TRADING = 390;
  private static final int QUOTES_OF_TEN_PRINTS = 4;

  final SessionEvents trades = new SessionEvents();
  final SessionEvents quotes = new SessionEvents();
  final SessionEvents statuses = new SessionEvents();
  final SessionEvents imbalances;
  final SessionEvents mentions;
  private final List<InventedStock> stocks;
  private final long seed;
  private final SessionHours hours;
  private final long close;

  InventedSession(List<InventedStock> stocks, long seed, SessionHours hours) {
    this.stocks = stocks;
    this.seed = seed;
    this.hours = hours;
    close = hours.close();
    imbalances = InventedAuctions.of(stocks, seed, hours);
    mentions = InventedMentions.of(stocks, seed);
  }

  void invent(int number) {
    new Day(number, stocks.get(number), new SplittableRandom(seed * 1_000_003 + number)).play();
  }

  /** One security's day. */
  private final class Day {
    private final int number;
    private final InventedStock stock;
    private final SplittableRandom random;
    private double noise;
    private long lastPrice;
    private boolean opened;
    private boolean closed;
    private final VolatilityPauses pauses;

    Day(int number, InventedStock stock, SplittableRandom random) {
      this.number = number;
      this.stock = stock;
      this.random = random;
      pauses =
          new VolatilityPauses(
              hours,
              Price.of(Math.round(stock.adjustedClose() * 100) / 100.0),
              (at, state) ->
                  statuses.add((int) (at / DayTime.MILLISECOND), number, 0, 0, state.ordinal(), 0));
    }

    void play() {
      for (int minute = 0; minute < MINUTES; minute++) {
        long start = DayTime.FIRST + minute * DayTime.MINUTE;
        double calm = stock.story() == null ? 0.9 : 0.25;
        noise =
            noise * 0.985
                + calm
                    * stock.dailyVolatility()
                    / Math.sqrt(MINUTES_OF_TRADING)
                    * random.nextGaussian();
        minute(start, Story.since(stock.activity(), start).orElse(0));
      }
      pauses.finish();
      if (isHalted()) {
        status(PlantedStories.HALT_FROM, TradingState.HALTED);
        status(PlantedStories.HALT_TO - DayTime.MINUTE, TradingState.QUOTING);
        status(PlantedStories.HALT_TO, TradingState.TRADING);
      }
      if (stock.story() != null && stock.story().id().equals("fake")) {
        trade(
            (int) (DayTime.parse("07:41:13") / DayTime.MILLISECOND),
            Price.of(stock.previousClose() * 1.31),
            100,
            SaleCondition.EXTENDED.bit());
      }
    }

    private void minute(long start, double mean) {
      int count = Draws.poisson(random, mean);
      int base = (int) (start / DayTime.MILLISECOND);
      boolean regular = start >= SessionHours.OPEN && start < close;
      if (regular && !opened) {
        official(
            base + 120 + random.nextInt(900),
            SaleCondition.OPENING,
            SaleCondition.OFFICIAL_OPEN,
            start);
        opened = true;
      }
      if (start >= close && opened && !closed) {
        official(
            base + 200 + random.nextInt(1_500),
            SaleCondition.CLOSING,
            SaleCondition.OFFICIAL_CLOSE,
            start);
        closed = true;
      }
      for (int i = 0; i < count; i++) {
        int at = base + (int) ((i + random.nextDouble()) * MINUTE_MS / count);
        print(at, regular);
      }
    }

    private void official(int at, SaleCondition auction, SaleCondition official, long start) {
      boolean atClose = auction == SaleCondition.CLOSING;
      long price = atClose && stock.close() > 0 ? Price.of(stock.close()) : price(start);
      trade(
          at,
          price,
          100L * (1 + Draws.poisson(random, stock.averageVolume() / 20_000)),
          auction.bit());
      trade(at + 1, price, 100, official.bit());
    }

    private void print(int at, boolean regular) {
      long moment = at * DayTime.MILLISECOND;
      if (isHalted() && moment >= PlantedStories.HALT_FROM && moment < PlantedStories.HALT_TO) {
        return;
      }
      long middle = isHalted() ? price(moment) : pauses.allowed(moment, price(moment));
      if (middle == Price.NONE) {
        return;
      }
      long halfSpread = halfSpread(middle, regular);
      int way = random.nextInt(3) - 1;
      if (random.nextInt(10) < QUOTES_OF_TEN_PRINTS || lastPrice == 0) {
        quotes.add(
            at,
            number,
            middle - halfSpread,
            middle + halfSpread,
            100 * (1 + random.nextInt(9)),
            100 * (1 + random.nextInt(9)));
      }
      lastPrice = middle + way * halfSpread;
      boolean odd = random.nextInt(5) == 0;
      long size =
          odd
              ? 1 + random.nextInt(99)
              : 100L
                  * (1
                      + Draws.poisson(
                          random,
                          (stock.printShares() - 100) / 100.0
                              + (random.nextInt(200) == 0 ? 40 : 0)));
      trade(at, lastPrice, size, conditions(regular, odd));
    }

    /** Whether the planted halt is its own; its volatility is part of the story. */
    private boolean isHalted() {
      return stock.story() != null && stock.story().id().equals("halt");
    }

    private void status(long at, TradingState state) {
      statuses.add((int) (at / DayTime.MILLISECOND), number, 0, 0, state.ordinal(), 0);
    }

    private int conditions(boolean regular, boolean odd) {
      int rare = random.nextInt(2_000);
      int bits = regular ? 0 : SaleCondition.EXTENDED.bit();
      bits |= odd ? SaleCondition.ODD_LOT.bit() : 0;
      bits |=
          rare == 0
              ? SaleCondition.AVERAGE_PRICE.bit()
              : rare == 1 ? SaleCondition.DERIVATIVE.bit() : 0;
      return bits == 0 ? SaleCondition.REGULAR.bit() : bits;
    }

    private long price(long moment) {
      double multiple = Story.between(stock.price(), moment) * Math.exp(noise);
      long tick = stock.adjustedClose() * multiple < 1 ? 1 : 100;
      return Math.max(
          tick, Math.round(stock.adjustedClose() * multiple * Price.DOLLAR / tick) * tick);
    }

    private long halfSpread(long price, boolean regular) {
      double part =
          stock.averageVolume() > 500_000
              ? 0.0004
              : stock.averageVolume() > 50_000 ? 0.0015 : 0.005;
      long tick = price < Price.DOLLAR ? 1 : 100;
      return Math.max(tick, Math.round(price * part * (regular ? 1 : 2) / tick) * tick);
    }

    private void trade(int at, long price, long size, int conditions) {
      trades.add(at, number, price, size, conditions, 0);
    }
  }
}
