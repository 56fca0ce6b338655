package kelvo.state;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.SplittableRandom;
import kelvo.chart.MinuteBars;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.history.MinuteBar;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** A cancelled print leaves no trace, and a corrected one is as if it had been right at once. */
class CorrectionProperties {
  private record Print(long at, long price, long shares, long id) {}

  @Property(tries = 60)
  void everyFieldIsAsIfThePrintsHadBeenRight(@ForAll long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    TapedSymbol corrected = new TapedSymbol(100_000);
    TapedSymbol right = new TapedSymbol(100_000);
    long price = 100_000;
    long now = DayTime.of(9, 0) + random.nextInt(60) * DayTime.MINUTE;
    long from = now;
    Print wrong = null;
    for (int i = 1; i <= 120; i++) {
      now += random.nextLong(40 * DayTime.SECOND);
      price += (random.nextInt(21) - 10) * 100L;
      Print print = new Print(now, price, 1 + random.nextInt(900), i);
      if (random.nextInt(4) == 0) {
        corrected.quote(now, price - 100, 1, price + 100, 1);
        right.quote(now, price - 100, 1, price + 100, 1);
      }
      boolean mistaken = wrong == null && random.nextInt(10) == 0;
      long shown = mistaken ? price + 7_000 : price;
      corrected.trade(now, shown, print.shares() + (mistaken ? 50 : 0), regular(), i);
      wrong = mistaken ? print : wrong;
      if (!mistaken || seed % 2 == 0) {
        right.trade(now, price, print.shares(), regular(), i);
      }
    }
    if (wrong != null) {
      now += DayTime.SECOND;
      int effect =
          seed % 2 == 0
              ? corrected.correct(now, wrong.id(), wrong.price(), wrong.shares())
              : corrected.cancel(now, wrong.id());
      assertThat(effect & Effect.CORRECTED).isNotZero();
    }

    assertSame(corrected, right, now, from);
  }

  private static void assertSame(TapedSymbol corrected, TapedSymbol right, long now, long from) {
    for (Field field : FieldCatalogue.usual()) {
      if (field instanceof Field.Number number) {
        assertThat(Double.valueOf(value(number, corrected, now)))
            .as(number.words())
            .isEqualTo(Double.valueOf(value(number, right, now)));
      }
    }
    List<MinuteBar> bars = bars(corrected, now);
    assertThat(bars).isEqualTo(bars(right, now));
    assertThat(bars).allMatch(b -> b.start() >= from - DayTime.MINUTE);
  }

  private static List<MinuteBar> bars(TapedSymbol taped, long now) {
    return new MinuteBars(taped.state().market().session(), 0).advanceTo(now);
  }

  private static double value(Field.Number number, TapedSymbol taped, long now) {
    return number.bind(taped.state().market().session()).at(taped.state(), now);
  }

  private static int regular() {
    return SaleCondition.REGULAR.bit();
  }
}
