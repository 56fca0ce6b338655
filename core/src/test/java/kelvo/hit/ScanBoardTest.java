package kelvo.hit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.universe.Universe;
import org.junit.jupiter.api.Test;

class ScanBoardTest {
  private static final long TEN = DayTime.of(10, 0);
  private static final int OPENING = 2;
  private static final long ALL = -1L;

  private final Session session = TestSessions.of(1, tape -> {});
  private final EventTape tape = session.tape();
  private final SymbolState state = SymbolState.fresh(session, 0);

  @Test
  void aSecurityEntersWhenAllRulesHoldAndLeavesWhenOneDoesNot() {
    ScanBoard board = opened(scan("volume at least 500", "price at most $10.50"));

    assertThat(afterPrint(board, 100_000, 400)).isZero();
    assertThat(afterPrint(board, 100_000, 100)).isEqualTo(1);
    assertThat(board.isInside(0, 0)).isTrue();
    assertThat(afterPrint(board, 106_000, 100)).isEqualTo(1);
    assertThat(board.isInside(0, 0)).isFalse();
  }

  @Test
  void eachScanIsABit() {
    ScanBoard board = opened(scan("volume at least 500"), scan("volume at least 100"));

    assertThat(afterPrint(board, 100_000, 100)).isEqualTo(0b10);
    assertThat(afterPrint(board, 100_000, 400)).isEqualTo(0b01);
    assertThat(board.isInside(0, 0)).isTrue();
    assertThat(board.isInside(0, 1)).isTrue();
  }

  /** The window is over: nobody is told that everybody left. */
  @Test
  void aWindowThatClosesIsLeftWithoutAWord() {
    ScanBoard board = board(until(DayTime.of(11, 0), "volume at least 100"));
    assertThat(board.openAt(TEN)).isTrue();
    afterPrint(board, 100_000, 100);

    assertThat(board.openAt(DayTime.of(11, 0))).isFalse();
    assertThat(board.isInside(0, 0)).isFalse();
    assertThat(afterPrint(board, 100_000, 100)).isZero();
  }

  @Test
  void onlyWhatTimeMayChangeIsAwaited() {
    ScanBoard board =
        opened(
            scan("volume 5m at least 100"),
            scan("volume 5m at least 100", "price above $20"),
            scan("volume at least 100"));

    afterPrint(board, 100_000, 100);

    assertThat(board.awaiting(0))
        .as("the second is shut by its price, the third can only change with a print")
        .isEqualTo(0b001);
  }

  @Test
  void aScanThatOldNewsShutsSleepsUntilThereIsMore() {
    ScanBoard board = opened(scan("minutes since news at most 5"));
    tape.news(TEN, 0, 0);
    state.apply(tape.size() - 1);
    assertThat(board.update(state, ALL, TEN, OPENING)).as("ten hours old").isZero();

    assertThat(board.dueAfterEvent(0)).isZero();
    board.wake(0);
    assertThat(board.dueAfterEvent(0)).isEqualTo(1);
  }

  @Test
  void moreScansThanALongHasBitsAreRefused() {
    List<Scan> many = Collections.nCopies(ScanBoard.MAX + 1, scan("volume at least 1"));

    assertThatThrownBy(() -> new ScanBoard(many, session))
        .hasMessage("at most 64 scans run at once, found 65");
  }

  private long afterPrint(ScanBoard board, long price, long shares) {
    tape.trade(TEN + tape.size(), 0, price, shares, SaleCondition.REGULAR.bit());
    state.apply(tape.size() - 1);
    return board.update(state, ALL, TEN + tape.size(), OPENING);
  }

  private ScanBoard opened(Scan... scans) {
    ScanBoard board = board(scans);
    board.openAt(TEN);
    return board;
  }

  private ScanBoard board(Scan... scans) {
    return new ScanBoard(List.of(scans), session);
  }

  private static Scan scan(String... rules) {
    return until(DayTime.LAST, rules);
  }

  private static Scan until(long end, String... rules) {
    List<Rule> parsed =
        Arrays.stream(rules).map(r -> RuleSentence.parse(r, Vocabulary.DEFAULT)).toList();
    return new Scan(
        String.join(", ", rules),
        "",
        Universe.EVERYONE,
        DayTime.FIRST,
        end,
        parsed,
        List.of(),
        List.of(Trigger.ENTERS, Trigger.LEAVES),
        Scan.DEFAULT_FOLD,
        Side.BOTH,
        50,
        List.of(),
        List.of());
  }
}
