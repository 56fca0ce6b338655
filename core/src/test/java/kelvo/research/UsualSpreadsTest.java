package kelvo.research;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.Consumer;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class UsualSpreadsTest {
  private static void quote(EventTape tape, int hour, int minute, int security, long cents) {
    tape.quote(DayTime.of(hour, minute), security, 100_000, 100, 100_000 + cents * 100, 100);
  }

  private static UsualSpreads.Recorded session(Consumer<EventTape> filler) {
    EventTape tape = new EventTape(2);
    filler.accept(tape);
    return new UsualSpreads.Recorded(List.of("AAAAAA", "BBBBBB"), SessionSpreads.of(tape, 2));
  }

  @Test
  void itIsTheMedianOfTheQuotesOfAnHour() {
    UsualSpreads usual =
        UsualSpreads.of(
            List.of(
                session(
                    tape -> {
                      quote(tape, 9, 40, 0, 9);
                      quote(tape, 10, 1, 0, 4);
                      quote(tape, 10, 2, 0, 2);
                      quote(tape, 10, 59, 0, 30);
                    })));

    assertThat(usual.at("AAAAAA", DayTime.of(10, 30))).isEqualTo(0.04);
    assertThat(usual.at("AAAAAA", DayTime.of(9, 30))).isEqualTo(0.09);
    assertThat(usual.at("AAAAAA", DayTime.of(11, 0))).isZero();
    assertThat(usual.at("BBBBBB", DayTime.of(10, 0))).isZero();
    assertThat(usual.at("CCCCCC", DayTime.of(10, 0))).isZero();
  }

  @Test
  void ofSeveralSessionsTheMiddleOneCounts() {
    UsualSpreads usual =
        UsualSpreads.of(
            List.of(
                session(tape -> quote(tape, 10, 0, 0, 1)),
                session(tape -> quote(tape, 10, 0, 0, 50)),
                session(tape -> quote(tape, 11, 0, 0, 7)),
                session(tape -> quote(tape, 10, 0, 0, 3))));

    assertThat(usual.at("AAAAAA", DayTime.of(10, 0))).isEqualTo(0.03);
    assertThat(usual.rows())
        .containsExactly(
            new UsualSpreads.Row("AAAAAA", 10, 300), new UsualSpreads.Row("AAAAAA", 11, 700));
  }

  @Test
  void quotesOfOneSideOrCrossedOnesTellNoSpread() {
    UsualSpreads usual =
        UsualSpreads.of(
            List.of(
                session(
                    tape -> {
                      tape.quote(DayTime.of(10, 0), 0, 0, 0, 100_000, 100);
                      tape.quote(DayTime.of(10, 1), 0, 100_000, 100, 0, 0);
                      tape.quote(DayTime.of(10, 2), 0, 100_000, 100, 99_900, 100);
                    })));

    assertThat(usual.rows()).isEmpty();
  }
}
