package kelvo.state;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;
import kelvo.hit.TestSessions;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

/** Prices by moment although some prints come late, against a look at every print. */
class PricePathTest {
  private static final long BEGIN = DayTime.of(10, 0);

  private record Print(long at, long price) {}

  private static List<Print> prints(SplittableRandom random) {
    List<Print> prints = new ArrayList<>();
    long clock = BEGIN;
    for (int i = 0; i < 300; i++) {
      clock += random.nextLong(3 * DayTime.SECOND);
      long late = random.nextInt(5) == 0 ? random.nextLong(40 * DayTime.SECOND) : 0;
      prints.add(new Print(Math.max(BEGIN, clock - late), 90_000 + random.nextLong(20_000)));
    }
    return prints;
  }

  private static Session session(List<Print> prints) {
    return TestSessions.of(
        1,
        tape -> {
          for (int i = 0; i < prints.size(); i++) {
            Print print = prints.get(i);
            tape.trade(print.at(), 0, print.price(), 100, SaleCondition.REGULAR.bit(), i + 1);
          }
        });
  }

  @Test
  void theBestPriceOfASpanAndTheFirstAfterAMoment() {
    SplittableRandom random = new SplittableRandom(11);
    for (int round = 0; round < 40; round++) {
      List<Print> prints = prints(random);
      PricePath path = PricePath.of(session(prints), 0, DayTime.LAST);
      for (int question = 0; question < 20; question++) {
        long after = BEGIN + random.nextLong(5 * DayTime.MINUTE);
        long until = after + random.nextLong(2 * DayTime.MINUTE);
        long best =
            prints.stream()
                .filter(print -> print.at() > after && print.at() <= until)
                .mapToLong(Print::price)
                .max()
                .orElse(Price.NONE);
        Print first =
            prints.stream()
                .filter(print -> print.at() > after)
                .min(Comparator.comparingLong(Print::at))
                .orElse(new Print(0, Price.NONE));

        assertThat(path.best(after, until, 1)).isEqualTo(best);
        int place = path.firstAfter(after);
        assertThat(place == path.size() ? Price.NONE : path.price(place)).isEqualTo(first.price());
      }
    }
  }

  @Test
  void aPrintThatIsToldLaterIsNotKnownYet() {
    Session session =
        session(
            List.of(
                new Print(BEGIN, 100_000),
                new Print(BEGIN + 60 * DayTime.SECOND, 101_000),
                new Print(BEGIN + 20 * DayTime.SECOND, 120_000)));

    long half = BEGIN + 30 * DayTime.SECOND;
    assertThat(PricePath.of(session, 0, half).best(BEGIN - 1, half, 1)).isEqualTo(100_000);
    long after = BEGIN + 60 * DayTime.SECOND;
    assertThat(PricePath.of(session, 0, after).best(BEGIN - 1, half, 1)).isEqualTo(120_000);
  }

  @Test
  void theTapesClockIsTheGreatestTimeSeen() {
    SplittableRandom random = new SplittableRandom(12);
    List<Print> prints = prints(random);
    EventTape tape = session(prints).tape();
    for (int question = 0; question < 300; question++) {
      long moment = BEGIN - DayTime.SECOND + random.nextLong(8 * DayTime.MINUTE);
      int come = 0;
      while (come < prints.size() && prints.get(come).at() <= moment) {
        come++;
      }

      assertThat(tape.countUntil(moment)).isEqualTo(come);
    }
  }

  @Test
  void blocksOfATapeWithLateEventsAreCountedToo() {
    EventTape tape = new EventTape(1);
    int events = 200_000;
    for (int i = 0; i < events; i++) {
      long late = i % 1_000 == 999 ? 500 : 0;
      tape.trade(BEGIN + i - late, 0, 100_000, 100, SaleCondition.REGULAR.bit(), i + 1);
    }

    for (int i = 0; i < events; i += 7_777) {
      assertThat(tape.countUntil(BEGIN + i)).isGreaterThan(i).isLessThanOrEqualTo(i + 2);
    }
    assertThat(tape.countUntil(BEGIN - 1_000)).isZero();
    assertThat(tape.countUntil(DayTime.LAST)).isEqualTo(events);
  }
}
