package kelvo.sim;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import kelvo.data.ledger.Ledger;
import kelvo.journal.Choice;
import kelvo.journal.Decision;
import kelvo.journal.FocusSpan;
import kelvo.journal.OwnRules;
import kelvo.journal.Remark;
import kelvo.journal.RuleKept;
import kelvo.journal.Subject;
import kelvo.scan.Side;
import kelvo.session.SecurityKind;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trade.CostMethod;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;
import kelvo.trade.RoundTrips;
import kelvo.trade.Trade;

/**
 * What the demo's trader does session after session, for a review to bring to light: good on the
 * planned gapper and on what the alert tells, late into the thin stair steps, and most afternoons a
 * trade in a large stock that nothing had pointed at, which costs.
 */
final class TraderHabits {
  /** The name of a scan that the trader made and that tells nothing. */
  static final String NOISE = "Midday pokes";

  /** That scan. */
  static final String NOISE_FILE =
      """
      {"kelvo": 1, "name": "Midday pokes", "purpose": "Large stocks that come up through VWAP around noon.",
       "window": ["11:30", "15:00"], "side": "up", "limit": 30,
       "rules": ["kind is common stock", "price between 15 and 60", "avg volume 20d at least 400K"],
       "triggers": ["rises through vwap"], "fold": "15m", "sort": ["change % down"],
       "columns": ["price", "change %", "volume"]}
      """;

  /** An alert that the trader set and that pays. */
  static final String ALERT =
      "everything: rises through previous close while gap at most -2%, again after 60m, by popup";

  /** The stories that the trader trades. */
  static final Set<String> STORIES = Set.of("gapper", "stairs", "red to green");

  private static final int CANDIDATES = 60;
  private static final int FIRST_CANDIDATE = 30;
  private static final double AFTERNOON_DOLLARS = 24_000;
  private static final long AFTERNOON = DayTime.of(13, 30);

  private TraderHabits() {}

  /** The fills of one session. */
  static List<InventedFill> fills(
      LocalDate date,
      int day,
      List<Story> stories,
      List<InventedStock> stocks,
      SessionEvents trades) {
    SplittableRandom random = new SplittableRandom(date.toEpochDay());
    List<InventedOrder> orders = new ArrayList<>();
    symbol(stories, "gapper").ifPresent(symbol -> onPlan(day, symbol, random, orders));
    if (day % 5 != 4) {
      symbol(stories, "stairs").ifPresent(symbol -> late(symbol, random, orders));
    }
    symbol(stories, "red to green").ifPresent(symbol -> onTheAlert(symbol, random, orders));
    if (day % 4 != 3) {
      offPlan(day, stocks, trades, orders);
    }
    return orders.stream().map(order -> order.filled(date, stocks, trades)).toList();
  }

  private static Optional<String> symbol(List<Story> stories, String id) {
    return stories.stream().filter(story -> story.id().equals(id)).map(Story::symbol).findFirst();
  }

  /** Not every day of a good plan is a good one. */
  private static void onPlan(
      int day, String symbol, SplittableRandom random, List<InventedOrder> orders) {
    boolean bad = day % 6 == 5;
    orders.add(order(bad ? "10:12" : "09:08", random, symbol, FillSide.BUY, 600));
    orders.add(order(bad ? "10:14" : "09:10", random, symbol, FillSide.BUY, 300));
    orders.add(order(bad ? "10:34" : "10:02", random, symbol, FillSide.SELL, 500));
    orders.add(order(bad ? "10:41" : "10:18", random, symbol, FillSide.SELL, 400));
  }

  private static void late(String symbol, SplittableRandom random, List<InventedOrder> orders) {
    orders.add(order("10:58", random, symbol, FillSide.BUY, 900));
    orders.add(order("11:22", random, symbol, FillSide.SELL, 900));
  }

  private static void onTheAlert(
      String symbol, SplittableRandom random, List<InventedOrder> orders) {
    orders.add(order("10:17", random, symbol, FillSide.BUY, 500));
    orders.add(order("11:12", random, symbol, FillSide.SELL, 500));
  }

  /** Enters what the trader had decided and looked at, and says of a session in hindsight. */
  static void prepare(Ledger ledger, LocalDate date, List<Story> stories, List<Fill> fills) {
    for (Story story : stories) {
      switch (story.id()) {
        case "gapper" -> {
          keep(
              ledger,
              date,
              "07:24",
              story.symbol(),
              Side.UP,
              "at the open",
              "Over the premarket high.");
          looked(ledger, date, story.symbol(), "07:20", "07:26");
          looked(ledger, date, story.symbol(), "09:07", "09:12");
        }
        case "stairs" -> looked(ledger, date, story.symbol(), "10:50", "11:10");
        case "red to green" -> looked(ledger, date, story.symbol(), "10:16", "10:24");
        case "halt" ->
            decide(
                ledger,
                date,
                "08:15",
                story.symbol(),
                Choice.DROP,
                "no news, thin",
                Side.UP,
                "only watch",
                "");
        case "fader" -> looked(ledger, date, story.symbol(), "09:45", "09:47");
        default -> {}
      }
    }
    hindsight(ledger, date, fills);
  }

  private static void hindsight(Ledger ledger, LocalDate date, List<Fill> fills) {
    boolean kept = true;
    for (Trade trade : RoundTrips.of(fills, CostMethod.FIRST_IN_FIRST_OUT).trades()) {
      if (trade.entryAt() >= AFTERNOON) {
        kept = false;
        ledger.add(
            date,
            new Remark(
                Subject.trade(trade.account(), trade.symbol(), trade.entryAt()),
                "Nothing else was moving.",
                List.of("bored")));
      }
    }
    ledger.add(
        date,
        new RuleKept(
            OwnRules.DEFAULT.getFirst(), kept ? RuleKept.Answer.KEPT : RuleKept.Answer.BROKEN));
  }

  private static void keep(
      Ledger ledger,
      LocalDate date,
      String at,
      String symbol,
      Side side,
      String when,
      String plan) {
    decide(
        ledger,
        date,
        at,
        symbol,
        Choice.KEEP,
        "news about the company, heavy volume",
        side,
        when,
        plan);
  }

  private static void decide(
      Ledger ledger,
      LocalDate date,
      String at,
      String symbol,
      Choice choice,
      String reason,
      Side side,
      String when,
      String plan) {
    ledger.add(date, new Decision(symbol, DayTime.parse(at), choice, reason, side, when, plan));
  }

  private static void looked(Ledger ledger, LocalDate date, String symbol, String from, String to) {
    ledger.add(date, new FocusSpan(symbol, DayTime.parse(from), DayTime.parse(to)));
  }

  /** Of some large stocks the one that falls furthest while the trader holds it. */
  private static void offPlan(
      int day, List<InventedStock> stocks, SessionEvents trades, List<InventedOrder> orders) {
    String in = day % 2 == 0 ? "13:47:20" : "14:12:40";
    String out = "15:21:30";
    Map<Integer, Long> bought = newest(stocks, trades, in);
    Map<Integer, Long> sold = newest(stocks, trades, out);
    Map.Entry<Integer, Long> worst = null;
    double change = Double.POSITIVE_INFINITY;
    for (Map.Entry<Integer, Long> price : bought.entrySet()) {
      double fell = (double) sold.getOrDefault(price.getKey(), price.getValue()) / price.getValue();
      if (fell < change) {
        change = fell;
        worst = price;
      }
    }
    if (worst != null) {
      double dollars = Price.dollars(worst.getValue());
      long shares = Math.max(10, Math.round(AFTERNOON_DOLLARS / dollars / 10) * 10);
      String symbol = stocks.get(worst.getKey()).symbol();
      orders.add(new InventedOrder(in, symbol, FillSide.BUY, shares));
      orders.add(new InventedOrder(out, symbol, FillSide.SELL, shares));
    }
  }

  /** The newest price of each candidate at a moment. */
  private static Map<Integer, Long> newest(
      List<InventedStock> stocks, SessionEvents trades, String time) {
    int until = (int) (DayTime.parse(time) / DayTime.MILLISECOND);
    Map<Integer, Long> prices = new HashMap<>();
    Map<Integer, Integer> at = new HashMap<>();
    for (int i = 0; i < trades.size; i++) {
      int number = trades.stocks[i];
      InventedStock stock = stocks.get(number);
      if (trades.timesMs[i] <= until
          && number >= FIRST_CANDIDATE
          && number < FIRST_CANDIDATE + CANDIDATES
          && stock.story() == null
          && stock.kind() == SecurityKind.COMMON_STOCK
          && trades.timesMs[i] >= at.getOrDefault(number, 0)) {
        at.put(number, trades.timesMs[i]);
        prices.put(number, trades.firsts[i]);
      }
    }
    return prices;
  }

  /** An order some seconds after a minute. */
  private static InventedOrder order(
      String minute, SplittableRandom random, String symbol, FillSide side, long shares) {
    return new InventedOrder(
        "%s:%02d".formatted(minute, 5 + random.nextInt(50)), symbol, side, shares);
  }
}
