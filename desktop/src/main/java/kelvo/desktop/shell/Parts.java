package kelvo.desktop.shell;

import java.util.List;
import java.util.stream.Stream;
import kelvo.desktop.days.DailyPart;
import kelvo.desktop.facts.FactsPart;
import kelvo.desktop.intraday.IntradayPart;
import kelvo.desktop.live.LiveParts;
import kelvo.desktop.morning.ChartWall;
import kelvo.desktop.plan.PlanPart;
import kelvo.desktop.practice.PracticePart;
import kelvo.desktop.prints.PrintsPart;
import kelvo.desktop.symbolnews.SymbolNewsPart;
import kelvo.desktop.workspace.PartKind;

/** All parts, in the order in which they are offered: about a symbol, then about the market. */
final class Parts {
  static final List<PartKind> ALL =
      Stream.of(
              List.of(
                  IntradayPart.KIND,
                  DailyPart.KIND,
                  FactsPart.KIND,
                  PrintsPart.KIND,
                  SymbolNewsPart.KIND,
                  PlanPart.KIND,
                  PracticePart.KIND),
              LiveParts.ALL,
              List.of(ChartWall.KIND))
          .flatMap(List::stream)
          .toList();

  private Parts() {}
}
