package kelvo.state;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import kelvo.history.DailyBar;
import kelvo.history.DailyBarList;
import kelvo.history.DailyCoil;
import kelvo.history.DailyHistory;
import kelvo.hit.TestSessions;
import kelvo.session.Session;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

/** The 5-minute coil against the daily one over the same bars. */
class FiveMinuteBarsTest {
  private static final long SPAN = 5 * DayTime.MINUTE;
  private static final int BARS = 90;

  private final Session session = TestSessions.of(1, tape -> {});
  private final TapedSymbol taped = new TapedSymbol(session);
  private final TapeFollower<FiveMinuteBars> coil = FiveMinuteBars.of(session);
  private final List<DailyBar> bars = new ArrayList<>();

  private static DailyHistory history(List<DailyBar> bars) {
    return DailyHistory.before(LocalDate.of(2040, 1, 1), DailyBarList.of(bars), List.of());
  }

  private void print(int bar, int second, long price, long id) {
    taped.trade(
        DayTime.of(9, 30) + bar * SPAN + second * DayTime.SECOND,
        price,
        100,
        SaleCondition.REGULAR.bit(),
        id);
  }

  private void play(SplittableRandom random) {
    long price = 100_000;
    for (int bar = 0; bar < BARS; bar++) {
      int swing = bar % 45 < 22 ? 12 : 1;
      long open = price;
      long high = price;
      long low = price;
      for (int i = 0; i < 6; i++) {
        price += i == 0 ? 0 : (random.nextInt(21) - 10) * 20L * swing;
        print(bar, i * 40, price, bar * 10 + i + 1);
        high = Math.max(high, price);
        low = Math.min(low, price);
      }
      if (bar + 1 < BARS) {
        bars.add(
            new DailyBar(LocalDate.of(2031, 1, 1).plusDays(bar), open, high, low, price, 600, 6));
      }
    }
  }

  @Test
  void saysWhatTheDailyCoilSaysOfTheSameBars() {
    play(new SplittableRandom(7));
    DailyCoil daily = new DailyCoil(history(bars));
    double price = Price.dollars(taped.state().lastPrice());

    assertThat(coil.of(taped.state()).now()).isEqualTo(daily.at(price));
    assertThat(coil.of(taped.state()).since()).isEqualTo(daily.barsSince(price));
  }

  @Test
  void isUnknownUntilTwentyOneBarsAreComplete() {
    for (int bar = 0; bar <= 21; bar++) {
      assertThat(coil.of(taped.state()).now()).isNaN();
      print(bar, 0, 100_000 + bar * 10, bar + 1);
    }
    assertThat(coil.of(taped.state()).now()).isNotNaN();
  }

  @Test
  void aCorrectionChangesTheBarsAsIfItHadNeverBeenWrong() {
    play(new SplittableRandom(9));
    coil.of(taped.state()).now();
    taped.correct(DayTime.of(19, 0), 402, 180_000, 100);
    TapeFollower<FiveMinuteBars> fresh = FiveMinuteBars.of(session);

    assertThat(coil.of(taped.state()).now()).isEqualTo(fresh.of(taped.state()).now());
    assertThat(coil.of(taped.state()).since()).isEqualTo(fresh.of(taped.state()).since());
  }
}
