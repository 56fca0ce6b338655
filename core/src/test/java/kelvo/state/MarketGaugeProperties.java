package kelvo.state;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import kelvo.hit.TestSessions;
import kelvo.session.Session;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

/** What is kept up to date price by price is what counting all securities gives. */
class MarketGaugeProperties {
  private static final int SECURITIES = 4;
  private static final long CLOSE = 100_000;

  @Property(tries = 200)
  void isWhatCountingGives(
      @ForAll @Size(max = 120) List<@IntRange(min = 85_000, max = 115_000) Integer> prices) {
    Session session = TestSessions.of(SECURITIES, tape -> {});
    Market market = Market.of(session);
    MarketGauge gauge = Objects.requireNonNull(market.gauge());
    long[] last = new long[SECURITIES];
    for (int i = 0; i < prices.size(); i++) {
      int security = prices.get(i) % SECURITIES;
      // Prices at the very bounds come often enough to be met.
      long price = i % 5 == 0 ? CLOSE + (i % 3 - 1) * CLOSE / 10 : prices.get(i);
      session
          .tape()
          .trade(DayTime.of(10, 0) + i, security, price, 100, SaleCondition.REGULAR.bit());
      SymbolState state = market.states().get(security);
      state.apply(session.tape().size() - 1);
      gauge.priced(state);
      last[security] = price;

      long known = Arrays.stream(last).filter(p -> p > 0).count();
      long up = Arrays.stream(last).filter(p -> p > CLOSE).count();
      long far = Arrays.stream(last).filter(p -> p > 0 && 10 * Math.abs(p - CLOSE) > CLOSE).count();
      assertThat(gauge.shareUp()).isEqualTo(100.0 * up / known);
      assertThat(gauge.movers()).isEqualTo((int) far);
    }
  }
}
