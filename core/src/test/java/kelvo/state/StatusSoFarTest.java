package kelvo.state;

import static org.assertj.core.api.Assertions.assertThat;

import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class StatusSoFarTest {
  private static final long TEN = DayTime.of(10, 0);

  private final TapedSymbol taped = new TapedSymbol(100_000);
  private final StatusSoFar status = taped.state().status();

  @Test
  void tradesUntilSomebodySaysOtherwise() {
    assertThat(status.state()).isEqualTo(TradingState.TRADING);
    assertThat(status.halts()).isZero();
    assertThat(status.haltReason()).isEmpty();
  }

  @Test
  void aHaltCountsOnceHoweverOftenItIsTold() {
    assertThat(taped.status(TEN, TradingState.HALTED, "T1")).isEqualTo(Effect.HALTED);
    assertThat(taped.status(TEN + 1, TradingState.HALTED, "T1")).isZero();

    assertThat(status.halts()).isEqualTo(1);
    assertThat(status.since()).isEqualTo(TEN);
    assertThat(status.haltReason()).isEqualTo("T1");
  }

  @Test
  void aPauseEndsFiveMinutesAfterItBeganThroughQuotingAndWithItsExtensions() {
    taped.status(TEN, TradingState.HALTED, "LUDP");
    taped.status(TEN + 3 * DayTime.MINUTE, TradingState.QUOTING, "");
    assertThat(status.pauseEnds()).isEqualTo(TEN + 5 * DayTime.MINUTE);
    assertThat(status.haltedAt()).isEqualTo(TEN);

    taped.status(TEN + 5 * DayTime.MINUTE, TradingState.HALTED, "LUDP");
    assertThat(status.pauseEnds()).isEqualTo(TEN + 10 * DayTime.MINUTE);
    assertThat(status.halts()).isEqualTo(1);
  }

  @Test
  void aNewReasonDuringAHaltIsTheReason() {
    taped.status(TEN, TradingState.HALTED, "LUDP");
    taped.status(TEN + DayTime.MINUTE, TradingState.HALTED, "T1");

    assertThat(status.haltReason()).isEqualTo("T1");
    assertThat(status.pauseEnds()).as("news pending has no usual length").isEqualTo(Long.MAX_VALUE);
    assertThat(status.halts()).isEqualTo(1);
  }

  @Test
  void anOfferingThatHasNotOpenedIsNoHalt() {
    assertThat(taped.status(TEN, TradingState.HALTED, "IPO1")).isZero();
    assertThat(taped.status(TEN + 1, TradingState.QUOTING, "")).isZero();
    assertThat(status.isHalted()).isFalse();
    assertThat(status.state()).isEqualTo(TradingState.QUOTING);
    assertThat(taped.status(TEN + 2, TradingState.TRADING, "")).isZero();
    assertThat(status.halts()).isZero();

    assertThat(taped.status(TEN + 3, TradingState.HALTED, "LUDP")).isEqualTo(Effect.HALTED);
    assertThat(status.halts()).isEqualTo(1);
  }

  /** A halt that passes into a time of quotes only is the same halt. */
  @Test
  void aHaltEndsWhenTradingBegins() {
    taped.status(TEN, TradingState.HALTED, "LUDP");
    assertThat(taped.status(TEN + 1, TradingState.QUOTING, "")).isZero();
    assertThat(taped.status(TEN + 2, TradingState.TRADING, "")).isEqualTo(Effect.RESUMED);

    assertThat(status.halts()).isEqualTo(1);
    assertThat(status.since()).isEqualTo(TEN + 2);
    assertThat(status.haltReason()).as("that of the newest halt").isEqualTo("LUDP");
  }
}
