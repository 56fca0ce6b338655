package kelvo.data.fill;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;
import org.junit.jupiter.api.Test;

class ToldFillsTest {
  private static final Fill ONE = fill("K1");
  private static final Fill OTHER = fill("K2");

  private static Fill fill(String order) {
    return new Fill(
        DayTime.of(9, 31),
        "TIDARC",
        FillSide.BUY,
        BigDecimal.valueOf(100),
        BigDecimal.valueOf(5),
        BigDecimal.ZERO,
        "main",
        order);
  }

  @Test
  void eachIsHandedOnOnceAndNoneOfThoseBefore() {
    ToldFills fills = new ToldFills(List.of(ONE));
    fills.add(OTHER);

    assertThat(fills.take()).containsExactly(OTHER);
    assertThat(fills.take()).isEmpty();
  }

  @Test
  void anEqualOneIsAnotherExecution() {
    ToldFills fills = new ToldFills(List.of(ONE));
    fills.add(ONE);
    fills.add(OTHER);
    fills.add(ONE);

    assertThat(fills.take()).containsExactly(ONE, ONE, ONE, OTHER);
  }
}
