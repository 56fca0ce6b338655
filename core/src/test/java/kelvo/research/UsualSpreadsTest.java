package kelvo.research;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.Consumer;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class UsualSpreadsTest {
  private static void quote(EventTape tape, int hour, int minute, int security, long cents) {
    tape.quote(DayTime.of(hour, minute), security, 100_000, 100, 100_000 + cents * 100, 100);
  }

  private static UsualSpreads usual(List<Consumer<EventTape>> sessions) {
    return UsualSpreads.of(
        List.of("AAAAAA", "BBBBBB"),
        sessions.stream()
            .map(
                filler -> {
                  EventTape tape = new EventTape(2);
                  filler.accept(tape);
                  return SessionSpreads.of(tape, 2);
                })
            .toList());
  }

  private static double assumed(UsualSpreads usual, String symbol, int hour, int minute) {
    return Price.dollars(usual.assumed(symbol, DayTime.of(hour, minute), Price.of(10)));
  }

  @Test
  void itIsTheMedianOfTheQuotesOfAnHour() {
    UsualSpreads usual =
        usual(
            List.of(
                tape -> {
                  quote(tape, 9, 40, 0, 9);
                  quote(tape, 10, 1, 0, 4);
                  quote(tape, 10, 2, 0, 2);
                  quote(tape, 10, 59, 0, 30);
                }));

    assertThat(assumed(usual, "AAAAAA", 10, 30)).isEqualTo(0.04);
    assertThat(assumed(usual, "AAAAAA", 9, 30)).isEqualTo(0.09);
    assertThat(assumed(usual, "AAAAAA", 11, 0)).isEqualTo(0.01);
    assertThat(assumed(usual, "BBBBBB", 10, 0)).isEqualTo(0.01);
    assertThat(assumed(usual, "CCCCCC", 10, 0)).isEqualTo(0.01);
  }

  @Test
  void ofSeveralSessionsTheMiddleOneCounts() {
    UsualSpreads usual =
        usual(
            List.of(
                tape -> quote(tape, 10, 0, 0, 1),
                tape -> quote(tape, 10, 0, 0, 50),
                tape -> quote(tape, 11, 0, 0, 7),
                tape -> quote(tape, 10, 0, 0, 3)));

    assertThat(assumed(usual, "AAAAAA", 10, 0)).isEqualTo(0.03);
    assertThat(usual.rows())
        .containsExactly(
            new UsualSpreads.Row("AAAAAA", 10, 300), new UsualSpreads.Row("AAAAAA", 11, 700));
  }

  @Test
  void quotesOfOneSideOrCrossedOnesTellNoSpread() {
    UsualSpreads usual =
        usual(
            List.of(
                tape -> {
                  tape.quote(DayTime.of(10, 0), 0, 0, 0, 100_000, 100);
                  tape.quote(DayTime.of(10, 1), 0, 100_000, 100, 0, 0);
                  tape.quote(DayTime.of(10, 2), 0, 100_000, 100, 99_900, 100);
                }));

    assertThat(usual.rows()).isEmpty();
  }
}
