package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import kelvo.alert.AlertEvent;
import kelvo.alert.Ring;
import kelvo.delivery.Channel;
import kelvo.scan.Side;
import kelvo.view.RangView.Rang;
import kelvo.view.RangView.Rung;
import org.junit.jupiter.api.Test;

class RangLineTest {
  private static Ring ring(
      long at, String symbol, String scan, Ring.Outcome outcome, double strength) {
    AlertEvent event =
        new AlertEvent(
            at,
            symbol.hashCode(),
            symbol,
            AlertEvent.Kind.SCAN,
            scan,
            "new high of day",
            Side.UP,
            100_000,
            Double.NaN,
            Double.NaN,
            Double.NaN,
            "");
    return new Ring(event, Ring.Rank.SCAN, false, outcome, strength, Channel.USUAL);
  }

  private static Rung rung(long at, String symbol, String scan, double strength) {
    return new Rung(ring(at, symbol, scan, Ring.Outcome.RINGS, strength), Aftermath.UNKNOWN, 0);
  }

  private static Ring over(long at, String symbol) {
    return ring(at, symbol, "Opening highs", Ring.Outcome.OVER_BUDGET, 0.1);
  }

  /** Two rings of a scan with three over its budget after the first and one after the second. */
  private static final Rang RANG =
      new Rang(
          100,
          List.of(
              rung(50, "BBBBBB", "Opening highs", 0.9),
              rung(30, "CCCCCC", "Fresh news", 0.2),
              rung(10, "AAAAAA", "Opening highs", 0.5)),
          List.of(over(60, "GGGGGG"), over(40, "FFFFFF"), over(20, "EEEEEE"), over(15, "DDDDDD")),
          4,
          List.of());

  private static List<String> words(List<RangLine> lines) {
    List<String> words = new ArrayList<>();
    for (RangLine line : lines) {
      words.add(
          switch (line) {
            case RangLine.One one -> one.rung().ring().event().symbol();
            case RangLine.HeldBack held -> "(" + held.ring().event().symbol() + ")";
            case RangLine.More more -> "and " + more.count();
            case RangLine.Symbol symbol ->
                symbol.strongest().ring().event().symbol() + " " + symbol.count();
          });
    }
    return words;
  }

  @Test
  void whatWasOverBudgetBetweenTwoRingsIsOneLine() {
    assertThat(words(RangLine.of(RANG, Set.of())))
        .containsExactly("and 1", "BBBBBB", "and 3", "CCCCCC", "AAAAAA");
  }

  @Test
  void anOpenedLineTellsEach() {
    RangLine.More opened = new RangLine.More("Opening highs", 3, 40, 15);

    assertThat(words(RangLine.of(RANG, Set.of(opened))))
        .containsExactly(
            "and 1", "BBBBBB", "and 3", "(FFFFFF)", "CCCCCC", "(EEEEEE)", "(DDDDDD)", "AAAAAA");
  }

  @Test
  void whatRangMeanwhileIsALineASymbolTheStrongestFirst() {
    Rang more =
        new Rang(
            100,
            List.of(
                rung(60, "CCCCCC", "Opening highs", 0.3),
                rung(50, "BBBBBB", "Opening highs", 0.9),
                rung(30, "CCCCCC", "Fresh news", 0.2),
                rung(10, "AAAAAA", "Opening highs", 0.95)),
            List.of(),
            0,
            List.of());

    assertThat(words(RangLine.bySymbol(more, 10, 60))).containsExactly("BBBBBB 1", "CCCCCC 2");
  }
}
