package kelvo.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import kelvo.hit.Hit;
import kelvo.hit.TestSessions;
import kelvo.journal.DayBook;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.TestFills;
import org.apache.commons.math3.stat.descriptive.DescriptiveStatistics;
import org.apache.commons.math3.stat.interval.IntervalUtils;
import org.junit.jupiter.api.Test;

class TradeGroupTest {
  private static final Session SESSION = TestSessions.of(2, tape -> {});

  private static List<ReviewedTrade> trades(List<String> fills) {
    List<Fill> all = fills.stream().map(TestFills::fill).toList();
    return DayReview.of(
            SESSION,
            List.of(),
            List.<Hit>of(),
            DayBook.EMPTY.withFills(all),
            ReviewSettings.DEFAULT,
            DayTime.of(16, 0))
        .trades();
  }

  private static List<ReviewedTrade> random(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    List<String> fills = new ArrayList<>();
    for (int i = 0; i < 60; i++) {
      String symbol = random.nextBoolean() ? "AAAAAA" : "ZZZZZZ";
      String time = "%02d:%02d".formatted(9 + i / 12, 5 * (i % 12));
      boolean buys = random.nextBoolean();
      double price = 1 + random.nextInt(6_000) / 100.0;
      double exit = price + random.nextInt(-50, 51) / 100.0;
      fills.add("%s:01 %s %s 100 %.2f".formatted(time, symbol, buys ? "buy" : "short", price));
      fills.add("%s:50 %s %s 100 %.2f".formatted(time, symbol, buys ? "sell" : "cover", exit));
    }
    return trades(fills);
  }

  @Test
  void eachTradeIsInOneGroupAndTheGroupsAddUp() {
    for (long seed = 1; seed <= 20; seed++) {
      List<ReviewedTrade> trades = random(seed);
      double net = trades.stream().mapToDouble(ReviewedTrade::result).sum();
      for (TradeGrouping grouping : TradeGrouping.values()) {
        List<TradeGroup> groups = TradeGroup.of(trades, grouping);

        assertThat(groups).extracting(TradeGroup::name).doesNotHaveDuplicates();
        assertThat(groups.stream().mapToInt(group -> group.totals().trades()).sum())
            .isEqualTo(trades.size());
        assertThat(groups.stream().mapToDouble(group -> group.totals().net()).sum())
            .isCloseTo(net, within(1e-6));
      }
    }
  }

  /** Against commons-math 3.6.1, whose statistics are an implementation of their own. */
  @Test
  void theFiguresAreThoseOfTheReferenceLibrary() {
    List<ReviewedTrade> trades = random(77);
    for (TradeGroup group : TradeGroup.of(trades, TradeGrouping.SYMBOL)) {
      double[] results =
          trades.stream()
              .filter(trade -> trade.trade().symbol().equals(group.name()))
              .mapToDouble(ReviewedTrade::result)
              .toArray();
      DescriptiveStatistics statistics = new DescriptiveStatistics(results);
      int wins = (int) Arrays.stream(results).filter(result -> result > 0).count();
      var interval = IntervalUtils.getWilsonScoreInterval(results.length, wins, 0.95);

      assertThat(group.totals().expectancy()).isCloseTo(statistics.getMean(), within(1e-9));
      assertThat(group.totals().net()).isCloseTo(statistics.getSum(), within(1e-9));
      assertThat(group.perShare()).isCloseTo(statistics.getMean() / 100, within(1e-9));
      assertThat(group.interval().low()).isCloseTo(interval.getLowerBound(), within(1e-9));
      assertThat(group.interval().high()).isCloseTo(interval.getUpperBound(), within(1e-9));
    }
  }

  @Test
  void pricesAreInBandsAndHoursInOrder() {
    List<ReviewedTrade> trades =
        trades(
            List.of(
                "14:10 AAAAAA buy 100 0.80",
                "14:20 AAAAAA sell 100 0.90",
                "09:40 AAAAAA buy 100 5",
                "09:50 AAAAAA sell 100 4.90",
                "11:00 AAAAAA buy 100 120",
                "11:05 AAAAAA sell 100 121"));

    assertThat(TradeGroup.of(trades, TradeGrouping.PRICE))
        .extracting(TradeGroup::name, group -> Math.round(group.totals().net()))
        .containsExactly(
            tuple("under $1", 10L), tuple("$5 to 10", -10L), tuple("$100 and over", 100L));
    assertThat(TradeGroup.of(trades, TradeGrouping.HOUR))
        .extracting(TradeGroup::name)
        .containsExactly("09:00", "11:00", "14:00");
  }

  @Test
  void streaksEndWithTheOtherSignAndWithZero() {
    List<String> fills = new ArrayList<>();
    int minute = 0;
    for (int cents : new int[] {5, 5, -5, 5, 0, 5, 5, 5, -5, -5}) {
      fills.add("10:%02d:00 AAAAAA buy 100 10".formatted(minute));
      fills.add(
          "10:%02d:30 AAAAAA sell 100 %s"
              .formatted(minute++, BigDecimal.valueOf(1_000 + cents, 2).toPlainString()));
    }
    TradeGroup all = TradeGroup.of(trades(fills), TradeGrouping.SYMBOL).getFirst();

    assertThat(all.longestWin()).isEqualTo(3);
    assertThat(all.longestLoss()).isEqualTo(2);
  }
}
