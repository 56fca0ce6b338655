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
    private int side;
    private boolean disarmed;
    private long firedAt;

    int next(long price, long now) {
      int newSide = Long.compare(price, LINE);
      if (newSide == 0) {
        return Crossing.NONE;
      }
      disarmed &= now - firedAt < DayTime.MINUTE;
      boolean fires = side != 0 && newSide != side && !disarmed;
      if (fires) {
        disarmed = true;
        firedAt = now;
      } else if (Math.abs(price - LINE) >= LINE / 1_000) {
        disarmed = false;
      }
      side = newSide;
      return fires ? newSide : Crossing.NONE;
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

  @Example
  void aSideLearnedBeforehandLetsTheFirstPricePass() {
    long primed = Crossing.primed(Crossing.UNKNOWN, LINE - 5, LINE);

    assertThat(Crossing.way(Crossing.next(primed, LINE + 5, LINE, DayTime.of(9, 30))))
        .isEqualTo(Crossing.ROSE);
    assertThat(Crossing.primed(primed, LINE + 5, LINE)).isEqualTo(primed);
  }
}
