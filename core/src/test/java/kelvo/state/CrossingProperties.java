package kelvo.state;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.time.DayTime;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

/** A crossing, which is one packed number, against the same rule written out field by field. */
class CrossingProperties {
  private static final long LINE = 100_000;

  /** The rule as its sentence says it. */
  private static final class Plain {
    private int told;
    private boolean armed = true;
    private long firedAt;

    int next(long price, long now) {
      int side = Long.compare(price, LINE);
      if (side == 0) {
        return Crossing.NONE;
      }
      if (told == 0) {
        told = side;
        return Crossing.NONE;
      }
      boolean beyond = Math.abs(price - LINE) >= LINE / 1_000;
      armed |= beyond || now - firedAt >= DayTime.MINUTE;
      if (side == told || !armed) {
        return Crossing.NONE;
      }
      told = side;
      armed = false;
      firedAt = now;
      return side;
    }
  }

  @Property
  void thePackedNumberDoesWhatTheRuleSays(
      @ForAll @Size(max = 60) List<@IntRange(min = -150, max = 150) Integer> away,
      @ForAll @Size(min = 60, max = 60) List<@IntRange(min = 0, max = 40) Integer> seconds) {
    Plain plain = new Plain();
    long crossing = Crossing.UNKNOWN;
    long now = DayTime.of(9, 30);
    for (int i = 0; i < away.size(); i++) {
      now += seconds.get(i) * DayTime.SECOND;
      long price = LINE + away.get(i);
      boolean stays = Crossing.staysAt(crossing, price, LINE);
      long next = Crossing.next(crossing, price, LINE, now);

      assertThat(Crossing.way(next)).isEqualTo(plain.next(price, now));
      assertThat(stays).as("what stays is not asked").matches(s -> !s || Crossing.way(next) == 0);
      crossing = next;
    }
  }

  @Property
  void theLastWordToldIsTheSideThatThePriceIsOn(
      @ForAll @Size(min = 1, max = 60) List<@IntRange(min = -150, max = 150) Integer> away,
      @ForAll @Size(min = 60, max = 60) List<@IntRange(min = 0, max = 40) Integer> seconds) {
    long crossing = Crossing.UNKNOWN;
    long now = DayTime.of(9, 30);
    int told = 0;
    long toldAt = 0;
    for (int i = 0; i < away.size(); i++) {
      now += seconds.get(i) * DayTime.SECOND;
      crossing = Crossing.next(crossing, LINE + away.get(i), LINE, now);
      int way = Crossing.way(crossing);
      int side = Integer.signum(away.get(i));
      if (told == 0 && side != 0) {
        told = side;
      } else if (way != Crossing.NONE) {
        assertThat(way).isEqualTo(side).isEqualTo(-told);
        told = way;
        toldAt = now;
      }
      boolean bounce = Math.abs(away.get(i)) < LINE / 1_000 && now - toldAt < DayTime.MINUTE;
      assertThat(side == 0 || side == told || bounce).isTrue();
    }
  }

  @Example
  void aSideLearnedBeforehandLetsTheFirstPricePass() {
    long primed = Crossing.primed(Crossing.UNKNOWN, LINE - 5, LINE);

    assertThat(Crossing.way(Crossing.next(primed, LINE + 5, LINE, DayTime.of(9, 30))))
        .isEqualTo(Crossing.ROSE);
    assertThat(Crossing.primed(primed, LINE + 5, LINE)).isEqualTo(primed);
  }
}
