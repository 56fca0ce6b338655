package kelvo.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SideBySideTest {
  private static final List<Integer> THINGS = IntStream.range(0, 40).boxed().toList();

  @Test
  void resultsAreInTheOrderOfTheThingsAndEachIsHeardOfOnce() {
    List<Integer> heard = new ArrayList<>();
    List<Double> parts = new ArrayList<>();

    List<Integer> squares =
        SideBySide.each(THINGS, (thing, progress) -> thing * thing, heard::add, parts::add);

    assertThat(squares).isEqualTo(THINGS.stream().map(thing -> thing * thing).toList());
    assertThat(heard).containsExactlyInAnyOrderElementsOf(squares);
    assertThat(parts).isSorted().endsWith(1.0);
  }

  @Test
  void theFirstThatThrowsIsThrownToWhoAskedAndStopsTheOthers() {
    CountDownLatch never = new CountDownLatch(1);

    assertThatThrownBy(
            () ->
                SideBySide.each(
                    THINGS,
                    (thing, progress) -> {
                      if (thing == 0) {
                        throw new IllegalStateException("no such session");
                      }
                      while (never.getCount() > 0) {
                        progress.done(0);
                      }
                      return thing;
                    },
                    result -> {},
                    Progress.NONE))
        .isInstanceOf(IllegalStateException.class)
        .hasMessage("no such session");
  }

  @Test
  void aStopEndsAllJobs() {
    AtomicInteger asked = new AtomicInteger();

    assertThatThrownBy(
            () ->
                SideBySide.each(
                    THINGS,
                    (thing, progress) -> {
                      for (; ; ) {
                        progress.done(0);
                      }
                    },
                    result -> {},
                    part -> {
                      if (asked.incrementAndGet() > 2) {
                        throw new CancellationException();
                      }
                    }))
        .isInstanceOf(CancellationException.class);
  }

  @Test
  void nothingToDoIsDoneAtOnce() {
    assertThat(
            SideBySide.each(
                List.<Integer>of(), (thing, progress) -> thing, result -> {}, Progress.NONE))
        .isEmpty();
  }

  @Test
  void jobsWithoutAResultAreAllDoneAndNoneGoesOnOnceOneHasFailed() {
    AtomicInteger done = new AtomicInteger();
    SideBySide.all(
        List.of(stop -> done.incrementAndGet(), stop -> done.incrementAndGet()), Progress.NONE);
    assertThat(done).hasValue(2);

    AtomicInteger ended = new AtomicInteger();
    assertThatThrownBy(
            () ->
                SideBySide.all(
                    List.of(
                        stop -> {
                          throw new IllegalStateException("the disk is full");
                        },
                        stop -> {
                          ended.incrementAndGet();
                          try {
                            for (; ; ) {
                              stop.done(0);
                            }
                          } finally {
                            ended.decrementAndGet();
                          }
                        }),
                    Progress.NONE))
        .hasMessage("the disk is full");
    assertThat(ended).hasValue(0);
  }
}
