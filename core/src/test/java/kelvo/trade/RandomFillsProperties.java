package kelvo.trade;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.TreeMap;
import kelvo.time.DayTime;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/**
 * Three hundred random fills over five sessions, two accounts and three symbols, of all sides, with
 * fractions, fees and rebates, against a ledger kept by hand: one account and symbol at a time, it
 * only adds up money between the moments at which nothing is held.
 */
class RandomFillsProperties {
  private static final LocalDate LAST = LocalDate.of(2031, 3, 14);
  private static final int FILLS = 300;
  private static final int DAYS = 5;
  private static final String[] ACCOUNTS = {"main", "second"};
  private static final String[] SYMBOLS = {"TIDARC", "GLASBX", "KELPOR"};

  private static TreeMap<LocalDate, List<Fill>> fills(SplittableRandom random) {
    TreeMap<LocalDate, List<Fill>> byDay = new TreeMap<>();
    for (int i = 0; i < FILLS; i++) {
      LocalDate day = LAST.minusDays(DAYS - 1 - i * DAYS / FILLS);
      boolean fraction = random.nextInt(3) == 0;
      BigDecimal quantity =
          fraction
              ? BigDecimal.valueOf(1 + random.nextInt(90_000_000), 6)
              : BigDecimal.valueOf(10L * (1 + random.nextInt(9)));
      byDay
          .computeIfAbsent(day, d -> new ArrayList<>())
          .add(
              new Fill(
                  DayTime.FIRST + i * DayTime.MINUTE,
                  SYMBOLS[random.nextInt(SYMBOLS.length)],
                  FillSide.values()[random.nextInt(FillSide.values().length)],
                  quantity,
                  BigDecimal.valueOf(9_000_000 + random.nextInt(2_000_000), 6),
                  BigDecimal.valueOf(random.nextInt(2_000_000) - 400_000, 6),
                  ACCOUNTS[random.nextInt(ACCOUNTS.length)],
                  ""));
    }
    return byDay;
  }

  /** What the ledger found: a line a trade. */
  private record Line(BigDecimal result, BigDecimal open) {}

  /** One account and symbol, kept by hand. */
  private static final class Book {
    final List<Line> lines = new ArrayList<>();
    final List<BigDecimal[]> lots = new ArrayList<>();
    BigDecimal shares = BigDecimal.ZERO;
    BigDecimal money = BigDecimal.ZERO;
    BigDecimal counted = BigDecimal.ZERO;

    void enter(Fill fill) {
      boolean in = fill.side() == FillSide.BUY || fill.side() == FillSide.COVER;
      boolean may = fill.side() == FillSide.BUY || fill.side() == FillSide.SHORT;
      BigDecimal against = in ? shares.negate() : shares;
      BigDecimal closes = fill.quantity().min(against.max(BigDecimal.ZERO));
      move(fill, closes, in);
      move(fill, may ? fill.quantity().subtract(closes) : BigDecimal.ZERO, in);
    }

    private void move(Fill fill, BigDecimal quantity, boolean in) {
      if (quantity.signum() == 0) {
        return;
      }
      BigDecimal fee =
          fill.fee().multiply(quantity).divide(fill.quantity(), MathContext.DECIMAL128);
      BigDecimal paid = quantity.multiply(fill.price()).multiply(BigDecimal.valueOf(in ? -1 : 1));
      money = money.add(paid).subtract(fee);
      counted = counted.add(paid).subtract(fee);
      BigDecimal signed = in ? quantity : quantity.negate();
      boolean opens = shares.signum() * signed.signum() >= 0;
      shares = shares.add(signed);
      if (opens) {
        lots.add(new BigDecimal[] {quantity, fill.price()});
      } else {
        forget(quantity);
      }
      if (shares.signum() == 0) {
        lines.add(new Line(money, BigDecimal.ZERO));
        money = BigDecimal.ZERO;
      }
    }

    /** The oldest lots go first. */
    private void forget(BigDecimal quantity) {
      BigDecimal left = quantity;
      while (left.signum() > 0) {
        BigDecimal gone = left.min(lots.getFirst()[0]);
        lots.getFirst()[0] = lots.getFirst()[0].subtract(gone);
        left = left.subtract(gone);
        if (lots.getFirst()[0].signum() == 0) {
          lots.removeFirst();
        }
      }
    }

    /** What is left is worth what it cost. */
    BigDecimal cost() {
      BigDecimal cost =
          lots.stream().map(l -> l[0].multiply(l[1])).reduce(BigDecimal.ZERO, BigDecimal::add);
      return shares.signum() < 0 ? cost.negate() : cost;
    }

    void close() {
      if (shares.signum() != 0) {
        lines.add(new Line(money.add(cost()), shares.abs()));
      }
    }
  }

  private static BigDecimal cents(BigDecimal dollars) {
    return dollars.setScale(2, RoundingMode.HALF_EVEN);
  }

  @Property(tries = 60)
  void tradesAreThoseOfALedgerKeptByHand(@ForAll long seed) {
    TreeMap<LocalDate, List<Fill>> byDay = fills(new SplittableRandom(seed));
    List<Fill> all = new ArrayList<>();
    byDay.values().forEach(all::addAll);
    RoundTrips found = RoundTrips.of(all, CostMethod.FIRST_IN_FIRST_OUT);
    BigDecimal flow = BigDecimal.ZERO;
    BigDecimal results = BigDecimal.ZERO;
    for (String account : ACCOUNTS) {
      for (String symbol : SYMBOLS) {
        Book book = new Book();
        all.stream()
            .filter(f -> f.account().equals(account) && f.symbol().equals(symbol))
            .forEach(book::enter);
        book.close();
        List<Trade> trades =
            found.trades().stream()
                .filter(t -> t.account().equals(account) && t.symbol().equals(symbol))
                .toList();
        assertThat(trades).hasSameSizeAs(book.lines);
        for (int i = 0; i < trades.size(); i++) {
          assertThat(cents(trades.get(i).result())).isEqualTo(cents(book.lines.get(i).result));
          assertThat(trades.get(i).openShares()).isEqualByComparingTo(book.lines.get(i).open);
        }
        flow = flow.add(book.counted).add(book.cost());
        results =
            results.add(
                trades.stream().map(Trade::result).reduce(BigDecimal.ZERO, BigDecimal::add));
      }
    }
    assertThat(cents(results))
        .as("money that came in, and what is held at cost")
        .isEqualTo(cents(flow));
  }

  /** Day by day with what is carried over each night, or all at once: the same trades. */
  @Property(tries = 40)
  void nightsMakeNoDifference(@ForAll long seed) {
    TreeMap<LocalDate, List<Fill>> byDay = fills(new SplittableRandom(seed));
    List<BigDecimal> daily = new ArrayList<>();
    byDay.forEach(
        (day, fills) -> {
          List<Fill> known =
              new ArrayList<>(CarriedPositions.before(day, byDay, (symbol, then) -> 1));
          known.addAll(fills);
          RoundTrips.of(known, CostMethod.FIRST_IN_FIRST_OUT).trades().stream()
              .filter(Trade::closed)
              .forEach(t -> daily.add(cents(t.result())));
        });
    List<Fill> all = new ArrayList<>();
    byDay.forEach(
        (day, fills) ->
            fills.forEach(
                f ->
                    all.add(
                        f.asOf(
                            java.time.temporal.ChronoUnit.DAYS.between(day, LAST) * DayTime.DAY,
                            BigDecimal.ONE))));
    List<BigDecimal> atOnce =
        RoundTrips.of(all, CostMethod.FIRST_IN_FIRST_OUT).trades().stream()
            .filter(Trade::closed)
            .map(t -> cents(t.result()))
            .toList();

    assertThat(daily).containsExactlyInAnyOrderElementsOf(atOnce);
  }
}
