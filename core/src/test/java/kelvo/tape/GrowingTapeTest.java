package kelvo.tape;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;

/** A tape that grows while others read it: whoever has read a size sees all of its events. */
class GrowingTapeTest {
  private static final int SECURITIES = 4;
  private static final int EVENTS = 2_000_000;
  private static final int READERS = 2;
  private static final long STEP = 1_000;

  /** Every other event is late, each by more than all before it. */
  private static long timeOf(int event) {
    return event % 2 == 0 ? event * STEP : (event - 1) * STEP - latenessOf(event);
  }

  private static long latenessOf(int event) {
    return event % 2 == 0 ? 0 : event;
  }

  private static void append(EventTape tape) {
    for (int event = 0; event < EVENTS; event++) {
      tape.trade(timeOf(event), event % SECURITIES, 82_000, event, 1, EventTape.NO_ID);
    }
  }

  /**
   * Looks at the newest event over and over until the tape has all of them, as fast as it can: what
   * goes wrong does so within some nanoseconds.
   *
   * @return how often something was not there yet
   */
  private static int missing(EventTape tape) {
    int missing = 0;
    int size = 0;
    while (size < EVENTS) {
      size = tape.size();
      int newest = size - 1;
      if (size > 0
          && (tape.mostLateness() < latenessOf(newest)
              || tape.time(newest) != timeOf(newest)
              || tape.shares(newest) != newest)) {
        missing++;
      }
    }
    return missing;
  }

  @Test
  void whatHasANumberIsThereWithItsTime() throws ExecutionException, InterruptedException {
    EventTape tape = new EventTape(SECURITIES);
    try (ExecutorService readers = Executors.newFixedThreadPool(READERS)) {
      List<Future<Integer>> missing = new ArrayList<>();
      for (int reader = 0; reader < READERS; reader++) {
        missing.add(readers.submit(() -> missing(tape)));
      }

      append(tape);

      for (Future<Integer> each : missing) {
        assertThat(each.get()).isZero();
      }
    }
    assertThat(tape.countUntil(Long.MAX_VALUE)).isEqualTo(EVENTS);
  }
}
