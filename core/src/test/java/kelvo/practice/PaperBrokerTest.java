package kelvo.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import kelvo.hit.TestSessions;
import kelvo.research.SessionSpreads;
import kelvo.research.UsualSpreads;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import org.junit.jupiter.api.Test;

class PaperBrokerTest {
  private static final long TEN = DayTime.of(10, 0);
  private static final long LATENCY = 300 * DayTime.MILLISECOND;
  private static final Terms MARKET = new Terms.Market();

  private final List<Instruction> instructions = new ArrayList<>();

  private static long second(double seconds) {
    return TEN + Math.round(seconds * DayTime.SECOND);
  }

  private static long price(double dollars) {
    return Price.of(dollars);
  }

  private static void print(EventTape tape, double seconds, double dollars, long shares) {
    tape.trade(
        second(seconds), 0, price(dollars), shares, SaleCondition.REGULAR.bit(), tape.size() + 1);
  }

  private static void quote(
      EventTape tape, double seconds, double bid, int bidShares, double ask, int askShares) {
    tape.quote(second(seconds), 0, price(bid), bidShares, price(ask), askShares);
  }

  private void place(double seconds, int way, long shares, Terms terms) {
    instructions.add(
        new Instruction.Place(
            second(seconds),
            new PaperOrder(instructions.size() + 1, "AAAAAA", way, shares, terms)));
  }

  private void bracket(double seconds, int way, long shares, double stop, double target) {
    instructions.add(
        new Instruction.Place(
            second(seconds),
            new PaperOrder(
                instructions.size() + 1,
                "AAAAAA",
                way,
                shares,
                MARKET,
                new PaperOrder.Exits(price(stop), price(target)))));
  }

  private PaperBroker broker(Consumer<EventTape> filler) {
    return broker(UsualSpreads.NONE, filler);
  }

  private PaperBroker broker(UsualSpreads usual, Consumer<EventTape> filler) {
    Session session = TestSessions.of(1, filler);
    return new PaperRun(session, usual, LATENCY).at(instructions, DayTime.LAST);
  }

  /** As "09:41:00.300 buy 100 at 10.05". */
  private static List<String> words(PaperBroker broker) {
    return broker.fills().stream()
        .map(
            fill ->
                DayTime.millis(fill.at())
                    + " "
                    + fill.side().word()
                    + " "
                    + fill.quantity().toPlainString()
                    + " at "
                    + fill.price().toPlainString())
        .toList();
  }

  @Test
  void aMarketOrderTakesTheOtherSideOfTheQuotesAsFarAsTheyGo() {
    place(1, 1, 500, MARKET);

    PaperBroker broker =
        broker(
            tape -> {
              quote(tape, 0, 9.95, 300, 10.05, 200);
              print(tape, 2, 10.02, 10_000);
              quote(tape, 3, 9.97, 300, 10.07, 1_000);
            });

    assertThat(words(broker))
        .containsExactly("10:00:01.300 buy 200 at 10.05", "10:00:03.000 buy 300 at 10.07");
    assertThat(broker.position("AAAAAA")).isEqualTo(500);
    assertThat(broker.working()).isEmpty();
  }

  @Test
  void theQuoteInForceIsTheOneOfItsArrival() {
    place(1, -1, 100, MARKET);

    assertThat(
            words(
                broker(
                    tape -> {
                      quote(tape, 0, 9.95, 300, 10.05, 200);
                      quote(tape, 1.2, 9.90, 300, 10.00, 200);
                      quote(tape, 1.4, 9.80, 300, 9.90, 200);
                    })))
        .containsExactly("10:00:01.300 short 100 at 9.9");
  }

  @Test
  void withoutQuotesTheNextPrintsFillItHalfATickWorse() {
    place(1, 1, 150, MARKET);

    assertThat(
            words(
                broker(
                    tape -> {
                      print(tape, 0, 10, 100);
                      print(tape, 1.1, 10, 5_000);
                      print(tape, 2, 10.10, 100);
                      print(tape, 4, 10.20, 100);
                    })))
        .containsExactly("10:00:02.000 buy 100 at 10.105", "10:00:04.000 buy 50 at 10.205");
  }

  @Test
  void theUsualSpreadOfTheHourCountsWhenItIsMoreThanATick() {
    EventTape recorded = new EventTape(1);
    recorded.quote(DayTime.of(10, 30), 0, price(8), 100, price(8.07), 100);
    UsualSpreads usual =
        UsualSpreads.of(List.of("AAAAAA"), List.of(SessionSpreads.of(recorded, 1)));
    place(1, 1, 100, MARKET);
    place(3, -1, 100, MARKET);
    place(3_600, 1, 100, MARKET);

    assertThat(
            words(
                broker(
                    usual,
                    tape -> {
                      print(tape, 2, 10, 100);
                      print(tape, 4, 10, 100);
                      print(tape, 3_602, 10, 100);
                    })))
        .containsExactly(
            "10:00:02.000 buy 100 at 10.035",
            "10:00:04.000 sell 100 at 9.965",
            "11:00:02.000 buy 100 at 10.005");
  }

  @Test
  void aLimitStandsBehindWhatWasThereBeforeIt() {
    place(1, 1, 200, new Terms.Limit(price(9.95)));

    assertThat(
            words(
                broker(
                    tape -> {
                      quote(tape, 0, 9.95, 300, 10.05, 200);
                      print(tape, 2, 9.95, 250);
                      print(tape, 3, 9.95, 100);
                      print(tape, 4, 9.94, 1_000);
                    })))
        .containsExactly("10:00:03.000 buy 50 at 9.95", "10:00:04.000 buy 150 at 9.95");
  }

  @Test
  void aLimitThatCrossesTakesWhatIsShownAndStandsWithTheRest() {
    place(1, 1, 300, new Terms.Limit(price(10.05)));

    PaperBroker broker =
        broker(
            tape -> {
              quote(tape, 0, 9.95, 300, 10.05, 200);
              quote(tape, 2, 9.95, 300, 10.20, 200);
            });

    assertThat(words(broker)).containsExactly("10:00:01.300 buy 200 at 10.05");
    assertThat(broker.working())
        .containsExactly(
            new PaperBroker.Working(1, "AAAAAA", 1, 100, new Terms.Limit(price(10.05)), false));
  }

  @Test
  void aStopWaitsForAPrintAtItsPrice() {
    place(1, -1, 100, new Terms.Stop(price(9.80)));

    assertThat(
            words(
                broker(
                    tape -> {
                      quote(tape, 0, 9.75, 300, 9.85, 200);
                      print(tape, 2, 9.81, 100);
                      print(tape, 3, 9.80, 100);
                    })))
        .containsExactly("10:00:03.000 short 100 at 9.75");
  }

  @Test
  void aStopLimitIsFilledAtItsLimitOrBetterOnly() {
    place(1, 1, 100, new Terms.StopLimit(price(10.20), price(10.25)));

    PaperBroker broker =
        broker(
            tape -> {
              quote(tape, 0, 10.10, 300, 10.15, 200);
              quote(tape, 2, 10.30, 300, 10.40, 200);
              print(tape, 3, 10.35, 100);
              quote(tape, 4, 10.20, 300, 10.25, 60);
            });

    assertThat(words(broker)).containsExactly("10:00:04.000 buy 60 at 10.25");
    assertThat(broker.working()).hasSize(1);
  }

  @Test
  void nothingIsFilledInAHalt() {
    place(5, 1, 100, MARKET);

    assertThat(
            words(
                broker(
                    tape -> {
                      quote(tape, 0, 9.95, 300, 10.05, 200);
                      tape.status(second(2), 0, TradingState.HALTED, "LUDP");
                      quote(tape, 6, 10.95, 300, 11.05, 200);
                      tape.status(second(300), 0, TradingState.TRADING, "");
                      quote(tape, 301, 11.95, 300, 12.05, 200);
                    })))
        .containsExactly("10:05:01.000 buy 100 at 12.05");
  }

  @Test
  void aBracketThatReachesItsTargetLeavesNoStop() {
    bracket(1, 1, 100, 9.50, 10.50);

    PaperBroker broker =
        broker(
            tape -> {
              quote(tape, 0, 9.95, 300, 10.05, 200);
              print(tape, 2, 10.51, 60);
              print(tape, 3, 10.52, 500);
              print(tape, 4, 9.40, 500);
            });

    assertThat(words(broker))
        .containsExactly(
            "10:00:01.300 buy 100 at 10.05",
            "10:00:02.000 sell 60 at 10.5",
            "10:00:03.000 sell 40 at 10.5");
    assertThat(broker.working()).isEmpty();
    assertThat(broker.position("AAAAAA")).isZero();
  }

  @Test
  void aBracketThatReachesItsStopLeavesNoTarget() {
    bracket(1, -1, 100, 10.50, 9.50);

    PaperBroker broker =
        broker(
            tape -> {
              quote(tape, 0, 9.95, 300, 10.05, 200);
              quote(tape, 2, 10.45, 300, 10.55, 200);
              print(tape, 3, 10.50, 500);
              print(tape, 4, 9.40, 500);
            });

    assertThat(words(broker))
        .containsExactly("10:00:01.300 short 100 at 9.95", "10:00:03.000 cover 100 at 10.55");
    assertThat(broker.working()).isEmpty();
  }

  @Test
  void whatIsCancelledIsNotFilledOnceThatHasArrived() {
    place(1, 1, 100, new Terms.Limit(price(9.50)));
    instructions.add(new Instruction.Cancel(second(2), 1));

    assertThat(
            words(
                broker(
                    tape -> {
                      print(tape, 2.2, 9.40, 30);
                      print(tape, 2.4, 9.40, 500);
                    })))
        .containsExactly("10:00:02.200 buy 30 at 9.5");
  }

  @Test
  void aSaleEndsWhatIsHeldBeforeItSellsShort() {
    place(1, 1, 100, MARKET);
    place(2, -1, 150, MARKET);

    assertThat(
            broker(tape -> quote(tape, 0, 9.95, 300, 10.05, 200)).fills().stream()
                .map(Fill::side)
                .map(side -> side.word())
                .toList())
        .containsExactly("buy", "sell", "short");
  }

  @Test
  void whatMakesNoOrderIsRefused() {
    assertThatThrownBy(() -> bracket(1, 1, 100, 10.50, 9.50))
        .hasMessage("the stop of a bracket that buys lies below its target");
    assertThatThrownBy(() -> new Terms.Limit(0)).hasMessage("a price must be above 0, found 0");
    assertThatThrownBy(() -> place(1, 1, 0, MARKET)).hasMessageContaining("shares above 0");
  }
}
